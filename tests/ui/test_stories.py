"""The stories of `ui/tests/stories`: the whole interface, told without a browser, with a server behind it."""

import subprocess

import pytest

from tests.stories import TELL, told_beside


@pytest.mark.long
def test_every_story_ends_as_it_is_told(tmp_path):
    with told_beside(tmp_path) as surroundings:
        told = subprocess.run(TELL, env=surroundings, capture_output=True, text=True, check=False)
    assert told.returncode == 0, told.stdout[-20_000:] + told.stderr[-5_000:]
    assert " passed" in told.stdout
