"""The open file of a build: `*.fuseau.json`, the Build itself as JSON, versioned by `format` and `version`."""

import base64
import json
from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError

from fuseau.document.build import FORMAT, MOST_FAULTS, VERSION, Build, Fault, PatternVersion, read_build
from fuseau.document.fittings import Fitting
from fuseau.document.limits import too_much
from fuseau.files.json_text import read_json
from fuseau.files.unreadable import UnreadableFile
from fuseau.wording.faults import faults

LARGEST_BYTES = 20_000_000


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
    found: dict[str, Any] = {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "$id": f"urn:fuseau:build:{VERSION}",
        **Build.model_json_schema(),
    }
    found["properties"]["attached"] = {
        "type": "object",
        "title": "Attached",
        "description": "Bytes of the pictures of the brief, base64, by their SHA-256.",
        "additionalProperties": {"type": "string", "contentEncoding": "base64"},
    }
    return found


def read_document(content: bytes) -> Build:
    """The build in a file. Raises UnreadableFile: empty, too large, broken, foreign, newer, or with faults."""
    return build_in(data_in(content))


def data_in(content: bytes) -> dict[str, Any]:
    """The plain data of a build's file, not looked at any further. Raises UnreadableFile."""
    if len(content) > LARGEST_BYTES:
        raise UnreadableFile(
            f"This file has {len(content) / 1e6:.1f} MB; a build with its pictures has a few, "
            f"{LARGEST_BYTES / 1e6:.0f} MB at the most."
        )
    data = read_json(content)
    if not isinstance(data, dict) or data.get("format") != FORMAT:
        raise UnreadableFile("This is not a Fuseau build: it does not say “format”: “fuseau.build”.")
    version = data.get("version")
    if isinstance(version, int) and version > VERSION:
        raise UnreadableFile(
            f"This build was written by a newer Fuseau (file version {version}; this one reads up to {VERSION})."
        )
    return data


def build_in(data: dict[str, Any]) -> Build:
    """The build in a file's data. Raises UnreadableFile with the first twenty faults."""
    data = {key: value for key, value in data.items() if key != "attached"}
    heavy = too_much(data, Build)
    found = (heavy,) if heavy else _first_faults(data)
    if not found:
        try:
            return read_build(data)
        except ValidationError as error:
            found = tuple(faults(error))
    where = f" at {found[0].at}" if found[0].at else ""
    raise UnreadableFile(f"This build has a fault{where}: {found[0].sentence}", found) from None


def _first_faults(data: dict[str, Any]) -> tuple[Fault, ...]:
    """What is wrong with single versions and fittings, the first twenty; each is read alone, so that it ends there."""
    found: list[Fault] = []
    kinds: dict[str, type[PatternVersion | Fitting]] = {"versions": PatternVersion, "fittings": Fitting}
    for name, kind in kinds.items():
        for k, one in enumerate(data.get(name) or ()):
            try:
                kind.model_validate(one, context={"unit": "cm"})
            except ValidationError as error:
                found += [
                    fault.model_copy(update={"at": f"{name}.{k}.{fault.at}".strip(".")}) for fault in faults(error)
                ]
            if len(found) >= MOST_FAULTS:
                return tuple(found[:MOST_FAULTS])
    return tuple(found)
