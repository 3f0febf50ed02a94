"""The open file of a build: `*.fuseau.json`, the Build itself as JSON, versioned by `format` and `version`."""

import base64
import hashlib
import json
from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError

from fuseau.document.build import FORMAT, VERSION, Build, Fault, faults, read_build

LARGEST_BYTES = 20_000_000


class UnreadableFile(ValueError):
    """A file that is no usable build. `sentence` says so plainly; `faults` tell where, if it is one at all."""

    def __init__(self, sentence: str, found: tuple[Fault, ...] = ()) -> None:
        super().__init__(sentence)
        self.sentence = sentence
        self.faults = found


def write_document(build: Build, attached: Mapping[str, bytes] | None = None) -> bytes:
    """The build as a UTF-8 JSON file, with the bytes of its pictures by their ids under `attached`.

    Reading it back gives an equal build, and the same pictures.
    """
    data = build.model_dump(mode="json")
    if attached:
        data["attached"] = {name: base64.b64encode(content).decode() for name, content in attached.items()}
    return (json.dumps(data, ensure_ascii=False, indent=1) + "\n").encode()


def document_schema() -> dict[str, Any]:
    """The JSON Schema of the file: that of the build, and its attached pictures."""
    found = Build.model_json_schema()
    found["properties"]["attached"] = {
        "type": "object",
        "title": "Attached",
        "description": "Bytes of the pictures of the brief, base64, by their SHA-256.",
        "additionalProperties": {"type": "string", "contentEncoding": "base64"},
    }
    return found


def read_attached(content: bytes) -> dict[str, bytes]:
    """The pictures in a file, by id; what is damaged or not what its id says is left out."""
    data = _parse(content)
    found = {}
    attached = data.get("attached") if isinstance(data, dict) else None
    for name, text in attached.items() if isinstance(attached, dict) else ():
        try:
            picture = base64.b64decode(text, validate=True)
        except (ValueError, TypeError):
            continue
        if hashlib.sha256(picture).hexdigest() == name:
            found[name] = picture
    return found


def read_document(content: bytes) -> Build:
    """The build in a file. Raises UnreadableFile: empty, too large, broken, foreign, newer, or with faults."""
    if not content.strip():
        raise UnreadableFile("This file is empty.")
    if len(content) > LARGEST_BYTES:
        raise UnreadableFile(
            f"This file has {len(content) / 1e6:.1f} MB; a build with its pictures has a few, "
            f"{LARGEST_BYTES / 1e6:.0f} MB at the most."
        )
    data = _parse(content)
    if not isinstance(data, dict) or data.get("format") != FORMAT:
        raise UnreadableFile("This is not a Fuseau build: it does not say “format”: “fuseau.build”.")
    version = data.get("version")
    if isinstance(version, int) and version > VERSION:
        raise UnreadableFile(
            f"This build was written by a newer Fuseau (file version {version}; this one reads up to {VERSION})."
        )
    data = {key: value for key, value in data.items() if key != "attached"}
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
