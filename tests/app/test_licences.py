"""What ships comes with its licence, in the tree and to be read in the application."""

import re
from pathlib import Path

import pytest

from fuseau.app.server import PAGES
from fuseau.files.fonts import FOLDER

TREE = Path(__file__).parent.parent.parent / "docs" / "licences.md"


def test_every_font_and_script_of_the_interface_is_in_the_tree_with_its_licence(client):
    if not PAGES.joinpath("licences.json").is_file():
        pytest.skip("the interface is not built")
    shipped = client.get("/licences.json").json()
    told = TREE.read_text()
    assert {one["kind"] for one in shipped} == {"font", "script"}
    for one in shipped:
        assert f"## {one['name']} {one['version']}".strip() + f": {one['licence']}" in told
        assert one["text"] in told
        assert re.search("licen[cs]e|permission is hereby granted", one["text"], re.IGNORECASE), one["name"]


def test_every_font_of_the_prints_lies_beside_its_licence():
    kept = {path.suffix.removeprefix(".") for path in FOLDER.glob("LICENSE.*")}
    for font in FOLDER.glob("*.ttf"):
        assert any(font.name.lower().startswith(family) for family in kept), font.name
    names = {path.name.split("-wght")[0] for path in PAGES.glob("assets/*.woff2")}
    assert all(name.startswith("ysabeau-office") for name in names)
    assert "ysabeau-office" in TREE.read_text()
