"""A client's measuring sheet: an HTML file that works on its own and offline, the same to print, and her answer back.

The answer is JSON, `{"format": "fuseau.letter", "version": 1, "unit": "cm", "measures": {"waist.girth_1": "70.5"}}`,
with texts as she wrote them. What comes back is marked unconfirmed, and so carries a wider spread (model, section 2).
"""

import io
import json
import re
from html import escape
from importlib import resources
from typing import Any

from reportlab.lib.pagesizes import A4, LETTER
from reportlab.lib.units import mm

from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import LengthError, Unit, format_length, parse_length
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import (
    HOW_TO_MEASURE,
    LEVEL_LABELS,
    LEVELS,
    ZERO_LABELS,
    LevelName,
    sign_of,
    zero_of,
)
from fuseau.document.build import Build
from fuseau.files.json_text import read_json
from fuseau.files.paper import Paper
from fuseau.files.tape_figure import tape_drawing, tape_figure
from fuseau.files.typeface import BOLD, FONT, Page, fonts
from fuseau.files.unreadable import UnreadableFile

FORMAT, VERSION = "fuseau.letter", 1
_LARGEST = 200_000
_MOST_PARTS = 400
_GIRTH_MM, _HEIGHT_MM, _LAP_MM, _POINTS_MM = (400.0, 2000.0), (10.0, 400.0), (60.0, 350.0), (80.0, 400.0)
_NECK_GIRTH_MM, _NECK_HEIGHT_MM = (220.0, 900.0), (10.0, 160.0)

_SIDES = ("front", "side", "back")
_INTRODUCTION = (
    "Wear what you will wear under the corset. Keep the tape level and snug, not tight. Read every girth twice, taking "
    "the tape off in between. Have somebody with you who can see your back. Send a photo with the tape at the waist."
)
_PRIVATE = "Your numbers are used for this garment only, and are kept on the maker's own computer."


def _fields(levels: tuple[LevelName, ...] = LEVELS) -> list[tuple[str, str, tuple[float, float]]]:
    """Every field of a sheet for these levels: key, label, range in mm."""
    found = []
    for name in levels:
        label, neck = LEVEL_LABELS[name], zero_of(name) == "neck_base"
        girths, heights = (_NECK_GIRTH_MM, _NECK_HEIGHT_MM) if neck else (_GIRTH_MM, _HEIGHT_MM)
        found += [
            (f"{name}.girth_{i}", f"{label}, {word} reading", girths) for i, word in ((1, "first"), (2, "second"))
        ]
        if sign_of(name):
            found += [(f"{name}.{side}", f"{label}, height at the {side}", heights) for side in _SIDES]
    if "bust" in levels:
        found.append(("bust_points", "Bust point to bust point", _POINTS_MM))
    if "waist" in levels:
        found.append(("lap", "Waist to lap, sitting", _LAP_MM))
    return found


_SINGLE = {
    "bust_points": ("Bust points", "From one bust point straight across to the other, in the bra that will be worn."),
    "lap": ("Waist to lap", "Sitting on a hard chair: from the cord straight down to the thigh."),
}


def letter_html(build: Build, unit: Unit) -> bytes:
    """The sheet as one HTML file: no outside file, no network, prints on one page, saves its answer."""
    levels = GARMENT_KINDS[build.kind].levels
    fields = _fields(levels)
    labels = {key: label for key, label, _ in fields}

    def box(key: str, what: str) -> str:
        name = escape(labels[key])
        field = f'<input name="{key}" aria-label="{name}" autocomplete="off">'
        return f'<td data-is="{what}">{field} <span></span><p role="alert"></p></td>'

    rows = []
    for number, name in enumerate(levels, start=1):
        cells = "".join(box(f"{name}.girth_{i}", word) for i, word in ((1, "girth"), (2, "girth again")))
        sides = '<td colspan="3">heights go from here</td>'
        if sign_of(name):
            sides = "".join(box(f"{name}.{side}", f"height, {side}") for side in _SIDES)
        where = {1: "above", 0: "", -1: "below"}[sign_of(name)]
        of = f" {where} the {ZERO_LABELS[zero_of(name)]}" if where else ""
        rows.append(
            f"<tr><th><i>{number}</i>{LEVEL_LABELS[name]}<small>{escape(HOW_TO_MEASURE[name])}</small></th>"
            f"{cells}{sides}<td class=where>{of}</td></tr>"
        )
    for key, (label, how) in _SINGLE.items():
        if key in labels:
            head = f"<tr><th>{label}<small>{escape(how)}</small></th>"
            rows.append(f'{head}{box(key, "length")}<td colspan="5" class=where></td></tr>')
    settings = {
        "build": build.brief.name,
        "labels": labels,
        "ranges": {key: bounds for key, _, bounds in fields},
        "apart": build.practice.readings_disagree_mm,
        "format": FORMAT,
        "version": VERSION,
    }
    page = resources.files("fuseau.files").joinpath("letter.html").read_text(encoding="utf-8")
    places = {
        "%TITLE%": escape(build.brief.name),
        "%INTRODUCTION%": escape(_INTRODUCTION),
        "%PRIVATE%": escape(_PRIVATE),
        "%ROWS%": "\n".join(rows),
        "%FIGURE%": tape_figure(levels),
        "%CM%": " selected" if unit == "cm" else "",
        "%IN%": " selected" if unit == "in" else "",
        "%SETTINGS%": json.dumps(settings, ensure_ascii=False).replace("<", "\\u003c"),
    }
    # in one pass, so that a name such as “%ROWS%” stays a name
    return re.sub("|".join(places), lambda place: places[place[0]], page).encode()


def letter_pdf(build: Build, paper: Paper) -> bytes:
    """The same sheet with lines to write on, one page, and where the tape goes on a second."""
    fonts()
    target = io.BytesIO()
    width, height = A4 if paper == "a4" else LETTER
    canvas = Page(target, pagesize=(width, height), invariant=True)
    canvas.setTitle(f"Measures for {build.brief.name}")
    x, y = 18 * mm, height - 24 * mm
    canvas.setFont(BOLD, 15)
    canvas.draw_within(x, y, width - 2 * x, build.brief.name, ("Measures for ", ""))
    canvas.setFont(FONT, 8.5)
    words = _INTRODUCTION.split(". ")
    for i, sentence in enumerate([". ".join(words[:2]) + ".", ". ".join(words[2:4]) + ".", ". ".join(words[4:])]):
        canvas.drawString(x, y - (9 + 5 * i) * mm, sentence)
    canvas.drawString(x, y - 27 * mm, "I measure in")
    for at, said in ((38, "cm"), (55, "inches")):
        canvas.rect(at * mm, y - 27.5 * mm, 3.2 * mm, 3.2 * mm)
        canvas.drawString((at + 5) * mm, y - 27 * mm, said)
    columns = (75, 97, 122, 140, 158)
    canvas.setFont(FONT, 7.5)
    for at, text in zip(columns, ("girth, first", "girth, second", "front", "side", "back"), strict=True):
        canvas.drawString(at * mm, y - 36 * mm, text)
    row = y - 46 * mm
    levels = GARMENT_KINDS[build.kind].levels
    step = min(21.0, 147 / len(levels)) * mm
    for number, name in enumerate(levels, start=1):
        canvas.setFont(BOLD, 10)
        canvas.drawString(x, row, f"{number}  {LEVEL_LABELS[name]}")
        canvas.setFont(FONT, 6.8)
        canvas.drawString(x, row - 5 * mm, HOW_TO_MEASURE[name])
        for at in columns if sign_of(name) else columns[:2]:
            canvas.line(at * mm, row - 1 * mm, (at + 15) * mm, row - 1 * mm)
        row -= step
    known = {key for key, _, _ in _fields(levels)}
    for key, (label, _) in _SINGLE.items():
        if key in known:
            canvas.setFont(BOLD, 10)
            canvas.drawString(x, row, label)
            canvas.line(75 * mm, row - 1 * mm, 90 * mm, row - 1 * mm)
            row -= 9 * mm
    canvas.setFont(FONT, 7.5)
    canvas.drawString(
        x,
        row - 14 * mm,
        f"Heights go from the {ZERO_LABELS[GARMENT_KINDS[build.kind].zero]}, along the body, to each level.",
    )
    canvas.drawString(x, row - 19 * mm, _PRIVATE)
    canvas.showPage()
    canvas.setFont(BOLD, 15)
    canvas.drawString(x, y, "Where the tape goes")
    figure = tape_drawing(levels, 120)
    figure.drawOn(canvas, x, y - 130 * mm)
    for number, name in enumerate(levels, start=1):
        canvas.setFont(BOLD, 9)
        canvas.drawString(x, y - (134 + 9 * number) * mm, f"{number}  {LEVEL_LABELS[name]}")
        canvas.setFont(FONT, 8)
        canvas.drawString(x + 34 * mm, y - (134 + 9 * number) * mm, HOW_TO_MEASURE[name])
    canvas.save()
    return target.getvalue()


def read_letter(content: bytes) -> list[Change]:
    """The changes that a client's answer makes to a wearer. Raises UnreadableFile, naming the measure at fault."""
    data = _answer(content)
    unit: Unit = "in" if data.get("unit") == "in" else "cm"
    known = {key: (label, bounds) for key, label, bounds in _fields()}
    sizes: dict[str, float] = {}
    for key, text in data["measures"].items():
        if key not in known:
            raise UnreadableFile(f"This answer has a measure that Fuseau did not ask for: {str(key)[:40]}.")
        sizes[key] = _size(text, unit, *known[key])
    changes: list[Change] = []
    for name in LEVELS:
        readings = [sizes[key] for key in (f"{name}.girth_1", f"{name}.girth_2") if key in sizes]
        if readings:
            changes.append(Change(at=f"wearer.{name}.readings_mm", value=readings))
            changes.append(Change(at=f"wearer.{name}.unconfirmed", value=True))
        changes += [
            Change(at=f"wearer.{name}.height_{side}_mm", value=sizes[f"{name}.{side}"])
            for side in _SIDES
            if f"{name}.{side}" in sizes
        ]
    if "bust_points" in sizes:
        changes.append(Change(at="wearer.bust_points_mm", value=sizes["bust_points"]))
    if "lap" in sizes:
        changes.append(Change(at="wearer.waist_to_lap_sitting_mm", value=sizes["lap"]))
    if not changes:
        raise UnreadableFile("This answer has no measures in it.")
    return changes


def _answer(content: bytes) -> dict[str, Any]:
    if not content.strip():
        raise UnreadableFile("This file is empty.")
    if len(content) > _LARGEST:
        raise UnreadableFile("This file is far too large for a client's answer.")
    try:
        data = read_json(content, _MOST_PARTS)
    except UnreadableFile:
        raise UnreadableFile("This file is damaged, or is no client's answer.") from None
    if not isinstance(data, dict) or data.get("format") != FORMAT or not isinstance(data.get("measures"), dict):
        raise UnreadableFile("This is not a client's answer: it was not saved from Fuseau's measuring sheet.")
    if data.get("version") != VERSION:
        raise UnreadableFile("This answer comes from a newer measuring sheet.")
    return data


def _size(text: Any, unit: Unit, label: str, bounds: tuple[float, float]) -> float:
    if not isinstance(text, str):
        raise UnreadableFile(f"{label}: this is not a length.")
    try:
        size = parse_length(text[:40], unit)
    except LengthError as error:
        raise UnreadableFile(f"{label}: {error}") from None
    low, high = bounds
    if not low <= size <= high:
        raise UnreadableFile(
            f"{label}: {format_length(size, unit)} can't be right, {format_length(low, unit, bare=True)} to "
            f"{format_length(high, unit)}."
        )
    return size
