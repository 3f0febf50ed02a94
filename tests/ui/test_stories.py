"""The stories of `ui/tests/stories`: the whole interface, told without a browser, with a server behind it."""

import subprocess

import pytest

from tests.stories import VITEST, story_server


@pytest.mark.long
def test_every_story_ends_as_it_is_told(tmp_path):
    with story_server(tmp_path) as environment:
        told = subprocess.run(VITEST, env=environment, capture_output=True, text=True, check=False)
    assert told.returncode == 0, told.stdout[-20_000:] + told.stderr[-5_000:]
    assert " passed" in told.stdout
