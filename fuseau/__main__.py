"""`python -m fuseau` is the command line."""

from fuseau.cli import main

main()
