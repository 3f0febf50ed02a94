"""The shelf and the shopping list as CSV, out and in: whatever comma, heading or unit a spreadsheet has made of it."""

import csv
import io
from collections.abc import Iterable, Mapping, Sequence
from typing import Any

from pydantic import BaseModel, ValidationError

from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.stock.articles import SORTS, Article
from fuseau.craft.stock.stock import Stock
from fuseau.document.build import fault_sentence
from fuseau.files.unreadable import UnreadableFile

_MOST_ROWS, _LARGEST = 2000, 2_000_000
_COLUMNS = ("sort", "name", "label", "count", "length", "width", "where", "lot", "cost", "note")
_SHOPPING = ("article", "amount", "packs", "from", "price", "order by", "needed on", "for")
# Other headings that people write, in small letters.
_ALSO: Mapping[str, str] = {
    "kind": "sort", "type": "sort", "what": "label", "article": "label", "item": "label", "description": "label",
    "code": "name", "pieces": "count", "number": "count", "quantity": "count", "qty": "count", "amount": "count",
    "length_mm": "length", "long": "length", "length (mm)": "length", "length mm": "length", "size": "length",
    "width_mm": "width", "wide": "width", "width (mm)": "width", "place": "where", "box": "where", "location": "where",
    "drawer": "where", "price": "cost", "paid": "cost", "batch": "lot", "notes": "note", "remark": "note",
}  # fmt: skip
_SAME_SORT: Mapping[str, str] = {
    "fabric": "cloth", "cloths": "cloth", "bones": "bone", "boning": "bone", "busks": "busk", "zips": "zip",
    "zipper": "zip", "grommet": "grommets", "eyelets": "grommets", "laces": "lace", "cord": "lace", "tapes": "tape",
    "ribbon": "tape", "hook": "hooks", "tips": "ends", "caps": "ends", "threads": "thread", "trims": "trim",
}  # fmt: skip


class CsvRow(BaseModel):
    """A row that came in: as it would be put on the shelf, or what is wrong with it, with the row's number."""

    row: int
    piece: dict[str, Any] | None
    said: str
    fault: str | None = None


def shelf_csv(pieces: Iterable[Stock]) -> bytes:
    """Everything on the shelf, a line each; lengths carry their unit, so that they come in again as they were."""
    rows = [
        (
            one.sort,
            one.name,
            one.label,
            one.count,
            "" if one.length_mm is None else f"{one.length_mm:g} mm",
            "" if one.width_mm is None else f"{one.width_mm:g} mm",
            one.where,
            one.lot,
            f"{one.cost:g}",
            one.note + (" (outline not in this file)" if one.outline else ""),
        )
        for one in pieces
    ]
    return _written(_COLUMNS, rows)


def shopping_csv(rows: Sequence[Sequence[str | int | float]]) -> bytes:
    """The shopping list, a line each."""
    return _written(_SHOPPING, rows)


def _written(head: Sequence[str], rows: Iterable[Sequence[object]]) -> bytes:
    text = io.StringIO()
    writer = csv.writer(text, lineterminator="\r\n")
    writer.writerow(head)
    writer.writerows([_harmless(cell) for cell in row] for row in rows)
    return text.getvalue().encode("utf-8-sig")


def _harmless(cell: object) -> object:
    """No cell begins as a formula does: a spreadsheet would run it."""
    return f"'{cell}" if isinstance(cell, str) and cell[:1] in ("=", "+", "@", "-", "\t") else cell


def read_shelf_csv(content: bytes, unit: Unit, articles: Iterable[Article]) -> list[CsvRow]:
    """What a CSV would put on the shelf, row by row; rows that can't be read say why.

    Commas, semicolons and tabs, decimal commas, headings of other names and bare numbers (mm for hardware, the maker's
    `unit` for what is long) are taken. Raises UnreadableFile for what is no table at all.
    """
    if len(content) > _LARGEST:
        raise UnreadableFile(f"This file has {len(content) / 1e6:.1f} MB; a shelf has 2 MB at the most.")
    text = _decoded(content)
    if not text.strip():
        raise UnreadableFile("This file is empty.")
    rows = list(csv.reader(io.StringIO(text), delimiter=_delimiter(text)))
    if len(rows) > _MOST_ROWS + 1:
        raise UnreadableFile(f"This file has {len(rows)} rows; {_MOST_ROWS} are the most.")
    head = [_heading(cell) for cell in rows[0]]
    if not {"sort", "label", "name"} & set(head):
        known, here = ", ".join(_COLUMNS), "; ".join(rows[0])[:120]
        raise UnreadableFile(f"The first row has to name the columns, such as {known}. Here it says: {here}.")
    known_articles = list(articles)
    return [
        _row(number, dict(zip(head, row, strict=False)), unit, known_articles)
        for number, row in enumerate(rows[1:], start=2)
        if any(cell.strip() for cell in row)
    ]


def _decoded(content: bytes) -> str:
    for encoding in ("utf-8-sig", "cp1252"):
        try:
            return content.decode(encoding).replace("\x00", "")
        except UnicodeDecodeError:
            continue
    raise UnreadableFile("This is no text: save the sheet as CSV.")


def _delimiter(text: str) -> str:
    first = text.lstrip().splitlines()[0]
    return max(";\t,", key=first.count)


def _heading(cell: str) -> str:
    plain = cell.strip().strip("'\"").lower()
    return plain if plain in _COLUMNS else _ALSO.get(plain, plain)


def _row(number: int, cells: dict[str, str], unit: Unit, known: Sequence[Article]) -> CsvRow:
    plain = {name: cells.get(name, "").strip().removeprefix("'") for name in _COLUMNS}
    said = plain["label"] or plain["name"] or f"row {number}"
    sort = _sort(plain["sort"])
    article = _article(plain, sort, known)
    if article is None:
        unknown = f"There is no {sort} called “{said}” in the catalogue."
        what = f"What is “{plain['sort'] or said}”? One of: {', '.join(SORTS)}."
        return CsvRow(row=number, piece=None, said=said, fault=unknown if sort else what)
    count, length = plain["count"] or "1", plain["length"]
    if not length and article.sort in ("cloth", "lace", "tape") and _has_unit(count):
        count, length = "1", count  # so many metres, written as an amount
    piece: dict[str, Any] = {
        "sort": article.sort,
        "name": article.name,
        "label": article.label,
        "count": count,
        "length_mm": _length(length, article.sort, unit) or None,
        "width_mm": _length(plain["width"], article.sort, unit) or None,
        "where": plain["where"],
        "lot": plain["lot"],
        "cost": plain["cost"] or "0",
        "note": plain["note"],
    }
    try:
        read = Stock.model_validate({**piece, "id": "x"}, context={"unit": unit})
    except ValidationError as error:
        first = error.errors(include_url=False, include_input=False)[0]
        return CsvRow(row=number, piece=None, said=said, fault=fault_sentence(first))
    size = "" if read.length_mm is None else f", {format_length(read.length_mm, unit)}"
    return CsvRow(
        row=number,
        piece={name: value for name, value in read.model_dump(mode="json").items() if name != "id"},
        said=f"{read.count} × {read.label}{size}",
    )


def _sort(written: str) -> str | None:
    plain = written.lower()
    plain = _SAME_SORT.get(plain, plain)
    return plain if plain in SORTS else None


def _article(plain: Mapping[str, str], sort: str | None, known: Sequence[Article]) -> Article | None:
    wanted = {plain["name"].lower(), plain["label"].lower()} - {""}
    for one in known:
        if (sort is None or one.sort == sort) and (one.name in wanted or one.label.lower() in wanted):
            return one
    return None


def _has_unit(text: str) -> bool:
    return any(sign.isalpha() or sign in "\"'" for sign in text)


def _length(text: str, sort: str, unit: Unit) -> str:
    """A length as the core reads it: a bare number of hardware is mm."""
    if not text or _has_unit(text) or sort in ("cloth", "lace", "tape"):
        return text
    return f"{text} mm"
