"""Requests made from the API's own description, and builds of every kind all the way round."""

import json
import tempfile
from functools import cache
from pathlib import Path
from typing import Any

import schemathesis
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from fuseau.app.server import make_app
from fuseau.app.settings import Settings
from tests.any_builds import any_builds
from tests.app.conftest import FILE, HOST

SHAPE = {"sentence", "faults", "changed", "log"}


@cache
def operations() -> dict[str, Any]:
    """Every operation of the API by its label, as its description has it."""
    with tempfile.TemporaryDirectory() as folder:
        described = make_app(Settings(data=Path(folder), warm=False), describing=True).openapi()
    return {one.ok().label: one.ok() for one in schemathesis.openapi.from_dict(described).get_all_operations()}


def ask(client, case, build) -> None:
    """The request, on a build that is there where it names one, and on its present revision."""
    if case.path_parameters and "build_id" in case.path_parameters:
        case.path_parameters["build_id"] = build["id"]
    now = client.get(f"/api/builds/{build['id']}").json()["revision"]
    if isinstance(case.body, dict) and isinstance(case.body.get("revision"), int):
        case.body["revision"] = now
    if case.query and isinstance(case.query.get("revision"), int):
        case.query["revision"] = now
    asked = case.as_transport_kwargs(base_url=HOST)
    names = ("method", "url", "params", "json", "content", "headers")
    headers = {**(asked.pop("headers", None) or {}), "host": "127.0.0.1:8321"}
    content = asked.pop("data", None)
    sent = {name: asked[name] for name in names if asked.get(name) is not None}
    if isinstance(content, bytes | str):
        sent["content"] = content
    answer = client.request(**sent, headers=headers)
    assert answer.status_code < 500, (case.method, case.path, answer.text[:400])
    if answer.status_code >= 400 and answer.content:
        assert set(answer.json()) == SHAPE
        assert len(answer.content) < 20_000


# not what replaces the workshop, nor the news, which are a stream without an end
ASKED = sorted(one for one in operations() if not any(part in one for part in ("/backup", "/house", "/events")))


@settings(max_examples=60, suppress_health_check=list(HealthCheck))
@given(label=st.sampled_from(ASKED), data=st.data())
def test_no_request_that_the_description_allows_or_nearly_ends_in_a_bare_error(client, sheet, label, data):
    case = data.draw(operations()[label].as_strategy())
    if client.get(f"/api/builds/{sheet['id']}").status_code == 404:
        client.post(f"/api/builds/{sheet['id']}/undelete")
    ask(client, case, sheet)


@settings(max_examples=3, suppress_health_check=[HealthCheck.function_scoped_fixture])
@given(build=any_builds())
def test_any_build_goes_in_is_listed_planned_printed_and_comes_out_the_same(client, build):
    plain = json.loads(build.model_dump_json())
    line = client.post("/api/builds/import", content=json.dumps(plain), headers=FILE).json()
    assert line.get("trouble") is None, line
    assert line["id"] in {one["id"] for one in client.get("/api/builds").json()}
    path = f"/api/builds/{line['id']}"
    opened = client.get(path)
    assert opened.status_code == 200
    prints = ("pattern.pdf", "list.pdf", "pattern.svg", "pattern.dxf", "bones.pdf", "letter.pdf", "letter.html")
    for print_ in (*prints, "fitting.pdf", "bones.csv", "measures.csv", "large.pdf"):
        answer = client.get(f"{path}/{print_}")
        assert answer.status_code in (200, 422), (print_, answer.text[:200])
        if answer.status_code == 422:
            assert set(answer.json()) == SHAPE
    assert client.get(f"{path}/make").status_code == 200
    exported = client.get(f"{path}/build.fuseau.json").content
    again = client.post("/api/builds/import", content=exported, headers=FILE).json()
    assert client.get(f"/api/builds/{again['id']}").json()["build"] == opened.json()["build"]
