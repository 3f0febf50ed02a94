"""What fittings teach: inference, odds, and where a change goes."""
