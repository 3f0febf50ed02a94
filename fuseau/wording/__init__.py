"""The words: messages and labels become sentences in the maker's unit. Nothing else in the core makes sentences."""

from fuseau.wording.words import Words

__all__ = ["Words"]
