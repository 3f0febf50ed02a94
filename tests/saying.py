"""What is said, in words, for tests that read it."""

import re
from contextlib import contextmanager

import pytest
from pydantic import ValidationError

from fuseau.craft.base.errors import CraftError
from fuseau.wording import Words
from fuseau.wording.faults import faults


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


@contextmanager
def unread(words: str, unit="cm"):
    """What is read here is refused in a sentence that has these words (a pattern), in her unit."""
    with pytest.raises(ValidationError) as caught:
        yield caught
    sentence = faults(caught.value, unit)[0].sentence
    assert re.search(words, sentence), sentence
