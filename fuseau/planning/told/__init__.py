"""What is told in numbers, each made once: with its unit, the version it is of, and what it comes from (model, 19)."""
