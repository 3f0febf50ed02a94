"""Sheets as CSV, out and in: whatever comma, heading or unit a spreadsheet has made of them."""

import csv
import io
from collections.abc import Iterable, Mapping, Sequence

from fuseau.craft.stock.articles import SORTS, Article
from fuseau.files.unreadable import UnreadableFile

MOST_ROWS, LARGEST = 2000, 2_000_000
_SAME_SORT: Mapping[str, str] = {
    "fabric": "cloth", "cloths": "cloth", "bones": "bone", "boning": "bone", "busks": "busk", "zips": "zip",
    "zipper": "zip", "grommet": "grommets", "eyelets": "grommets", "laces": "lace", "cord": "lace", "tapes": "tape",
    "ribbon": "tape", "hook": "hooks", "tips": "ends", "caps": "ends", "threads": "thread", "trims": "trim",
}  # fmt: skip


def write_sheet(head: Sequence[str], rows: Iterable[Sequence[object]]) -> bytes:
    """A sheet as CSV with a byte order mark, as spreadsheets like it. No cell begins as a formula does."""
    text = io.StringIO()
    writer = csv.writer(text, lineterminator="\r\n")
    writer.writerow(head)
    writer.writerows([_harmless(cell) for cell in row] for row in rows)
    return text.getvalue().encode("utf-8-sig")


def _harmless(cell: object) -> object:
    """No cell begins as a formula does: a spreadsheet would run it."""
    return f"'{cell}" if isinstance(cell, str) and cell[:1] in ("=", "+", "@", "-", "\t") else cell


def read_sheet(
    content: bytes, columns: Sequence[str], also: Mapping[str, str], needed: frozenset[str]
) -> list[tuple[int, dict[str, str]]]:
    """The rows of a sheet with their numbers, each by column; every one of `columns` is there, if only empty.

    Commas, semicolons and tabs are taken; `also` are other headings that people write, in small letters. One of
    `needed` has to be among the headings. Raises UnreadableFile for what is no such sheet.
    """
    if len(content) > LARGEST:
        raise UnreadableFile(f"This file has {len(content) / 1e6:.1f} MB; a sheet has 2 MB at the most.")
    text = _decoded(content)
    if not text.strip():
        raise UnreadableFile("This file is empty.")
    try:
        rows = list(csv.reader(io.StringIO(text, newline=None), delimiter=_delimiter(text)))
    except csv.Error:
        raise UnreadableFile("This is no sheet: a cell in it is far too long.") from None
    if len(rows) > MOST_ROWS + 1:
        raise UnreadableFile(f"This file has {len(rows)} rows; {MOST_ROWS} are the most.")
    head = [_heading(cell, columns, also) for cell in rows[0]]
    if not needed & set(head):
        known, here = ", ".join(columns), "; ".join(rows[0])[:120]
        raise UnreadableFile(f"The first row has to name the columns, such as {known}. Here it says: {here}.")
    found = []
    for number, row in enumerate(rows[1:], start=2):
        if any(cell.strip() for cell in row):
            cells = dict(zip(head, row, strict=False))
            found.append((number, {name: cells.get(name, "").strip().removeprefix("'") for name in columns}))
    return found


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


def _heading(cell: str, columns: Sequence[str], also: Mapping[str, str]) -> str:
    plain = cell.strip().strip("'\"").lower()
    return plain if plain in columns else also.get(plain, plain)


def sort_written(written: str) -> str | None:
    """The sort of article that a word means."""
    plain = written.lower()
    plain = _SAME_SORT.get(plain, plain)
    return plain if plain in SORTS else None


def article_written(sort: str, names: Iterable[str], known: Iterable[Article]) -> Article:
    """The article that goes by one of the `names`, of a sort where one is written.

    Raises UnknownArticle with a sentence where there is none.
    """
    wanted = {name.lower() for name in names} - {""}
    meant = sort_written(sort)
    for one in known:
        if (meant is None or one.sort == meant) and (one.name in wanted or one.label.lower() in wanted):
            return one
    said = next((name for name in names if name), "")
    if meant:
        raise UnknownArticle(f"There is no {meant} called “{said}” in the catalogue.")
    raise UnknownArticle(f"What is “{sort or said}”? One of: {', '.join(SORTS)}.")


class UnknownArticle(ValueError):
    """No article goes by this name; the message is a sentence for the maker."""


def has_unit(text: str) -> bool:
    """Whether a unit is written with a number."""
    return any(sign.isalpha() or sign in "\"'" for sign in text)


def length_written(text: str, sort: str) -> str:
    """A length as the core reads it: a bare number of hardware is mm, of what is long her own unit."""
    if not text or has_unit(text) or sort in ("cloth", "lace", "tape"):
        return text
    return f"{text} mm"
