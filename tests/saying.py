"""What is said, in words, for tests that read it."""

from contextlib import contextmanager

import pytest

from fuseau.craft.base.errors import CraftError
from fuseau.wording import Words


def said(what, unit="cm") -> str:
    """A message, or an error's, as its sentence; a text as it is."""
    what = getattr(what, "message", what)
    return what if isinstance(what, str) else Words(unit)(what)


@contextmanager
def refused(words: str):
    """Something that can't be made, with a sentence that has these words."""
    with pytest.raises(CraftError) as caught:
        yield caught
    assert words in said(caught.value)
