"""What is worked out only when it is asked for, by planning again: the odds, the schools, ways out."""
