"""The Build: what the maker decided and observed, and the open file format."""
