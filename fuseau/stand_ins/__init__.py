"""Small simulations of what is outside: a dress stand that can be fitted."""
