"""Every code has its words, and every template is shown with what it is given."""

import ast
import string
from pathlib import Path

import pytest

from fuseau.craft.base.findings import Message, message
from fuseau.wording import Words
from fuseau.wording.words import templates

ROOT = Path("fuseau")
MAKERS = {"message", "finding", "mend", "Unmakeable", "Unsettled", "_follows"}


def codes_in_use() -> set[str]:
    """Codes that are written out where messages are made, and those that stand in variables beside them."""
    found: set[str] = set()
    for file in ROOT.rglob("*.py"):
        if "wording" in file.parts:
            continue
        found |= {
            node.value
            for node in ast.walk(ast.parse(file.read_text()))
            if isinstance(node, ast.Constant) and isinstance(node.value, str)
        }
    return found


def test_every_code_that_is_written_out_has_words():
    known = templates()
    for file in ROOT.rglob("*.py"):
        for node in ast.walk(ast.parse(file.read_text())):
            if not isinstance(node, ast.Call) or getattr(node.func, "id", "") not in {"message", "mend"}:
                continue
            first = node.args[0] if node.args else None
            if isinstance(first, ast.Constant):
                assert first.value in known or first.value.startswith("insert."), (file, node.lineno, first.value)


CODE_AT = {"Unmakeable": 1, "Unsettled": 1, "at_field": 1, "refused": 0}  # its place among what is handed over


def test_every_refusal_that_is_written_out_has_words():
    known = templates()
    for file in ROOT.rglob("*.py"):
        for node in ast.walk(ast.parse(file.read_text())):
            if isinstance(node, ast.Call) and (place := CODE_AT.get(getattr(node.func, "id", ""))) is not None:
                code = node.args[place]
                if isinstance(code, ast.Constant):
                    assert code.value in known, (file, node.lineno, code.value)


def test_no_words_are_left_over():
    used = codes_in_use()
    families = ("way.", "order.", "raise.", "traced.", "insert.", "because.", "then.", "section.", "modesty.", "moved_",
                "which.", "no_busk_fits.", "poor_mock_up.", "opening.", "bought.", "odds",
                "method.", "piece.", "headline.", "tool.", "step.front.", "step.bind.", "gain.", "card.by.",
                    "reason.pinned", "reason.slashed", "reason.stood_off", "dug.", "waist_sat.",
                    "verdict.waist_sat", "verdict.digs_at_place", "mend.edge_there.")  # fmt: skip
    left = [code for code in templates() if code not in used and not code.startswith(families)]
    assert left == []


@pytest.mark.parametrize("unit", ["cm", "in"])
def test_every_template_is_shown_with_what_it_names(unit):
    say = Words(unit)
    for code, template in templates().items():
        given: dict[str, float | str] = {}
        for _, field, spec, _ in string.Formatter().parse(template):
            if field is not None:
                level = (spec or "").startswith("level")
                text = spec == "capital" or not spec
                given[field] = (
                    "waist"
                    if level
                    else "front"
                    if spec == "way"
                    else "tilt"
                    if spec == "worst"
                    else "a second pull"
                    if spec == "tells"
                    else "zip"
                    if spec == "opening"
                    else "cord"
                    if text
                    else 12.5
                )
        said = say(Message(code=code, given=given))
        assert "{" not in said
        assert said == said.strip()


def test_a_message_is_written_in_the_words_of_its_context():
    narrow = message("too_many_panels", least_mm=15.0)
    assert Words("cm")(narrow) == "With so many panels one would be narrower than 15 mm: use fewer panels."
    assert narrow.model_dump_json(context=Words("in").context).count(" in") == 1
    assert narrow.model_dump() == "too_many_panels"
    with pytest.raises(KeyError):
        Words("cm")(message("nothing of the kind"))
