"""The shelf as CSV, out and in."""

from collections.abc import Iterable, Mapping, Sequence
from typing import Any

from pydantic import ValidationError

from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.base.record import Sent
from fuseau.craft.stock.articles import Article
from fuseau.craft.stock.stock import Stock
from fuseau.files.sheets import UnknownArticle, article_written, has_unit, length_written, read_sheet, write_sheet
from fuseau.wording.faults import fault_sentence

_COLUMNS = ("sort", "name", "label", "count", "length", "width", "where", "lot", "cost", "note")
# Other headings that people write, in small letters.
_ALSO: Mapping[str, str] = {
    "kind": "sort", "type": "sort", "what": "label", "article": "label", "item": "label", "description": "label",
    "code": "name", "pieces": "count", "number": "count", "quantity": "count", "qty": "count", "amount": "count",
    "length_mm": "length", "long": "length", "length (mm)": "length", "length mm": "length", "size": "length",
    "width_mm": "width", "wide": "width", "width (mm)": "width", "place": "where", "box": "where", "location": "where",
    "drawer": "where", "price": "cost", "paid": "cost", "batch": "lot", "notes": "note", "remark": "note",
}  # fmt: skip


class CsvRow(Sent):
    """A row that came in: as it would be put on the shelf, or what is wrong with it, with the row's number."""

    row: int
    piece: Stock | None
    said: str
    fault: str | None = None


def shelf_csv(pieces: Iterable[Stock]) -> bytes:
    """Everything on the shelf, a line each; lengths carry their unit, so that they come in again as they were."""
    rows = [
        (
            piece.sort,
            piece.name,
            piece.label,
            piece.count,
            "" if piece.length_mm is None else f"{piece.length_mm:g} mm",
            "" if piece.width_mm is None else f"{piece.width_mm:g} mm",
            piece.where,
            piece.lot,
            f"{piece.cost:g}",
            piece.note + (" (outline not in this file)" if piece.outline else ""),
        )
        for piece in pieces
    ]
    return write_sheet(_COLUMNS, rows)


def read_shelf_csv(content: bytes, unit: Unit, articles: Iterable[Article]) -> list[CsvRow]:
    """What a CSV would put on the shelf, row by row; rows that can't be read say why.

    Decimal commas, headings of other names and bare numbers (mm for hardware, the maker's `unit` for what is long) are
    taken. Raises UnreadableFile for what is no such sheet.
    """
    known = list(articles)
    rows = read_sheet(content, _COLUMNS, _ALSO, frozenset({"sort", "label", "name"}))
    return [_row(number, cells, unit, known) for number, cells in rows]


def _row(number: int, plain: Mapping[str, str], unit: Unit, known: Sequence[Article]) -> CsvRow:
    said = plain["label"] or plain["name"] or f"row {number}"
    try:
        article = article_written(plain["sort"], (plain["label"], plain["name"]), known)
    except UnknownArticle as unknown:
        return CsvRow(row=number, piece=None, said=said, fault=str(unknown))
    count, length = plain["count"] or "1", plain["length"]
    if not length and article.sort in ("cloth", "lace", "tape") and has_unit(count):
        count, length = "1", count  # so many metres, written as an amount
    piece: dict[str, Any] = {
        "sort": article.sort,
        "name": article.name,
        "label": article.label,
        "count": count,
        "length_mm": length_written(length, article.sort) or None,
        "width_mm": length_written(plain["width"], article.sort) or None,
        "where": plain["where"],
        "lot": plain["lot"],
        "cost": plain["cost"] or "0",
        "note": plain["note"],
    }
    try:
        read = Stock.model_validate({**piece, "id": f"row{number}"}, context={"unit": unit})
    except ValidationError as error:
        first = error.errors(include_url=False, include_input=False)[0]
        return CsvRow(row=number, piece=None, said=said, fault=fault_sentence(first, unit))
    size = "" if read.length_mm is None else f", {format_length(read.length_mm, unit)}"
    return CsvRow(
        row=number,
        piece=read,
        said=f"{read.count} × {read.label}{size}",
    )
