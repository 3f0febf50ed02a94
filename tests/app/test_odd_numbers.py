"""Numbers of any length, sign and script: at every field of a build's file, of every route, and of every sheet."""

import json
from collections.abc import Iterator
from contextlib import suppress
from copy import deepcopy
from typing import Any

import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from fuseau.files.intake import take_in
from fuseau.files.unreadable import UnreadableFile
from tests.any_builds import bases
from tests.app.conftest import FILE
from tests.app.test_any_request import ASKED, ask, operations

LONG = "9" * 400
ODD = (int(LONG), -int(LONG), LONG, f"0.{LONG}", f"{LONG}/7 in", 1e308, -1e308, 5e-324, 2**63, "1e400", "1E+99999",
       "nan", "-inf", "١٢", "²", "Ⅻ", "½", True)  # fmt: skip
Path = tuple[str | int, ...]


def numbers_in(value: Any, at: Path = ()) -> Iterator[Path]:
    """Where numbers stand in plain data."""
    if isinstance(value, dict):
        for name, inner in value.items():
            yield from numbers_in(inner, (*at, name))
    elif isinstance(value, list):
        for i, inner in enumerate(value):
            yield from numbers_in(inner, (*at, i))
    elif isinstance(value, int | float) and not isinstance(value, bool):
        yield at


def with_number(value: Any, at: Path, number: object) -> Any:
    """Plain data with another number in one place."""
    made = deepcopy(value)
    inner = made
    for part in at[:-1]:
        inner = inner[part]
    inner[at[-1]] = number
    return made


def fields() -> dict[str, tuple[dict[str, Any], Path]]:
    """Of every number that a build's file can hold, a file and the place in it."""
    found: dict[str, tuple[dict[str, Any], Path]] = {}
    for build in bases():
        data = json.loads(build.model_dump_json())
        for at in numbers_in(data):
            found.setdefault(".".join("*" if isinstance(part, int) else part for part in at), (data, at))
    return found


def test_every_number_of_a_builds_file_may_be_odd():
    asked = fields()
    assert len(asked) > 150
    for k, (data, at) in enumerate(asked.values()):
        written = json.dumps(with_number(data, at, ODD[k % len(ODD)]))
        with suppress(UnreadableFile):
            take_in(written.encode())


@settings(max_examples=60, suppress_health_check=list(HealthCheck))
@given(label=st.sampled_from(ASKED), number=st.sampled_from(ODD), data=st.data())
def test_every_number_of_a_request_may_be_odd(client, sheet, label, number, data):
    if client.get(f"/api/builds/{sheet['id']}").status_code == 404:
        client.post(f"/api/builds/{sheet['id']}/undelete")
    ask(client, with_odd_number(data.draw(operations()[label].as_strategy()), number, data), sheet)


def with_odd_number(case: Any, number: object, data: st.DataObject) -> Any:
    """A request with another number in one place, of its body or of what is asked after its path."""
    inner = {"body": case.body if isinstance(case.body, dict | list) else {}, "query": dict(case.query or {})}
    places = list(numbers_in(inner))
    if places:
        changed = with_number(inner, data.draw(st.sampled_from(places)), number)
        if isinstance(case.body, dict | list):
            case.body = changed["body"]
        case.query = {name: str(value)[:6000] for name, value in changed["query"].items()} or case.query
    return case


SHEETS = {
    "/api/measures/csv": ("level,girth,height", ("waist", "{0}", "{1}")),
    "/api/shelf/csv": (
        "kind,name,what,length,width,count,price",
        ("cloth", "coutil", "coutil", "{0}", "{1}", "{2}", "{3}"),
    ),
    "/api/shopping/csv": ("article,name,amount,each,price,shop", ("grommets", "grommet_5", "{0}", "{1}", "{2}", "x")),
}


@pytest.mark.parametrize("path", SHEETS)
@pytest.mark.parametrize("number", [odd for odd in ODD if isinstance(odd, str)])
def test_every_number_of_a_sheet_may_be_odd(client, path, number):
    head, row = SHEETS[path]
    for k in range(4):
        filled = ",".join(row).format(*(number if i == k else "12" for i in range(4)))
        answer = client.post(path, content=f"{head}\n{filled}\n".encode(), headers=FILE)
        assert answer.status_code in (200, 422), answer.text
