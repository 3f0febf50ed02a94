"""The open file of a build: `*.fuseau.json`, the Build itself as JSON, versioned by `format` and `version`."""

import json
from typing import Any

from pydantic import ValidationError

from fuseau.build import FORMAT, VERSION, Build, Fault, faults, read_build

LARGEST_BYTES = 4_000_000


class UnreadableFile(ValueError):
    """A file that is no usable build. `sentence` says so plainly; `faults` tell where, if it is one at all."""

    def __init__(self, sentence: str, found: tuple[Fault, ...] = ()) -> None:
        super().__init__(sentence)
        self.sentence = sentence
        self.faults = found


def write_document(build: Build) -> bytes:
    """The build as a UTF-8 JSON file. Reading it back gives an equal build."""
    text = json.dumps(build.model_dump(mode="json"), ensure_ascii=False, indent=1)
    return (text + "\n").encode()


def read_document(content: bytes) -> Build:
    """The build in a file. Raises UnreadableFile: empty, too large, broken, foreign, newer, or with faults."""
    if not content.strip():
        raise UnreadableFile("This file is empty.")
    if len(content) > LARGEST_BYTES:
        raise UnreadableFile(
            f"This file has {len(content) / 1e6:.1f} MB; a build has a few hundred kB, {LARGEST_BYTES / 1e6:.0f} MB at "
            "the most."
        )
    data = _parse(content)
    if not isinstance(data, dict) or data.get("format") != FORMAT:
        raise UnreadableFile("This is not a Fuseau build: it does not say “format”: “fuseau.build”.")
    version = data.get("version")
    if isinstance(version, int) and version > VERSION:
        raise UnreadableFile(
            f"This build was written by a newer Fuseau (file version {version}; this one reads up to {VERSION})."
        )
    try:
        return read_build(data)
    except ValidationError as error:
        found = tuple(faults(error))
        raise UnreadableFile(f"This build has a fault at {found[0].at}: {found[0].sentence}", found) from None


def _parse(content: bytes) -> Any:
    try:
        return json.loads(content.decode("utf-8-sig"), parse_constant=_no_constant)
    except UnicodeDecodeError:
        raise UnreadableFile("This is not a text file, so it is not a Fuseau build.") from None
    except RecursionError:
        raise UnreadableFile("This file is nested too deeply to be a Fuseau build.") from None
    except json.JSONDecodeError as error:
        raise UnreadableFile(f"This file breaks off or is damaged at line {error.lineno}: {error.msg}.") from None


def _no_constant(name: str) -> float:
    raise UnreadableFile(f"This file holds “{name}” where a number has to be.")
