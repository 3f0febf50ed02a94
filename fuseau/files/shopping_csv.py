"""The shopping list as CSV: out, to take to shops of her own, and in again with what was bought or ordered there."""

import math
from collections.abc import Iterable, Mapping, Sequence

from pydantic import ValidationError

from fuseau.craft.base.lengths import LengthError, Unit, format_length, format_run, parse_length
from fuseau.craft.base.record import Sent
from fuseau.craft.stock.articles import Article
from fuseau.document.shelf import OrderLine
from fuseau.files.sheets import UnknownArticle, article_written, has_unit, length_written, read_sheet, write_sheet
from fuseau.planning.workshop.shopping import ToBuy
from fuseau.wording.faults import fault_sentence

_NOBODY = "nobody"
_COLUMNS = (
    "sort", "name", "article", "each", "width", "amount", "packs", "pack of", "from", "price", "order by", "needed on",
    "for",
)  # fmt: skip
_ALSO: Mapping[str, str] = {
    "kind": "sort", "type": "sort", "what": "article", "label": "article", "item": "article", "code": "name",
    "needed": "amount", "quantity": "amount", "qty": "amount", "count": "amount", "pack": "pack of",
    "shop": "from", "supplier": "from", "where": "from", "cost": "price", "paid": "price", "total": "price",
    "length of each": "each", "build": "for", "builds": "for",
}  # fmt: skip


class BoughtRow(Sent):
    """A row that came in: what was bought of it and where, or what is wrong with it, with the row's number."""

    row: int
    said: str
    shop: str = ""
    line: OrderLine | None = None
    fault: str | None = None


def shopping_csv(lines: Iterable[ToBuy], names: Mapping[str, str], unit: Unit) -> bytes:
    """The shopping list, a line each; `names` are of the builds."""
    rows = []
    for line in lines:
        chosen = line.choices[line.chosen] if line.chosen is not None else None
        pack = chosen.offer.pack if chosen else 0
        long = line.article.measure == "length" and not line.each_mm
        rows.append(
            (
                line.article.sort,
                line.article.name,
                line.article.label,
                format_length(line.each_mm, unit, hardware=True) if line.each_mm else "",
                format_length(line.width_mm, unit) if line.width_mm else "",
                format_run(line.amount, unit) if long else round(line.amount),
                chosen.packs if chosen else "",
                "" if not chosen else format_length(pack, unit) if long else round(pack),
                chosen.offer.shop if chosen else _NOBODY,
                f"{chosen.price:.2f}" if chosen else "",
                line.order_by.isoformat() if line.order_by else "",
                line.needed_on.isoformat() if line.needed_on else "",
                "; ".join(names[build] for build in line.builds),
            )
        )
    return write_sheet(_COLUMNS, rows)


def read_shopping_csv(
    content: bytes, unit: Unit, articles: Iterable[Article], builds: Mapping[str, str]
) -> list[BoughtRow]:
    """What a list that came back says was bought or ordered, row by row; rows that can't be read say why.

    So many packs of so much, or the amount where that is more or alone; rows with neither were not bought, and are left
    out. `builds` gives each build's number by the name on the list. Raises UnreadableFile for what is no such sheet.
    """
    known = list(articles)
    rows = read_sheet(content, _COLUMNS, _ALSO, frozenset({"article", "name"}))
    return [_row(number, cells, unit, known, builds) for number, cells in rows if _bought(cells)]


def _bought(cells: Mapping[str, str]) -> bool:
    return any(cells[name].strip("0., ") for name in ("amount", "packs")) and cells["packs"].strip() != "0"


def _row(
    number: int, cells: Mapping[str, str], unit: Unit, known: Sequence[Article], builds: Mapping[str, str]
) -> BoughtRow:
    said = cells["article"] or cells["name"] or f"row {number}"
    shop = cells["from"]
    try:
        article = article_written(cells["sort"], (cells["name"], cells["article"]), known)
        if not shop or shop.lower() == _NOBODY:
            return BoughtRow(row=number, said=said, fault="From whom? Write the shop in the column “from”.")
        packs, pack = _packs(article, cells, unit)
        total = _number(cells["price"] or "0", "a price")
        line = OrderLine(
            article=article,
            packs=packs,
            pack=pack,
            each_mm=parse_length(length_written(cells["each"], article.sort), unit) if cells["each"] else None,
            width_mm=parse_length(length_written(cells["width"], article.sort), unit) if cells["width"] else None,
            price=total / packs,
            builds=tuple(builds[name] for part in cells["for"].split(";") if (name := part.strip()) in builds),
        )
    except ValidationError as error:
        first = error.errors(include_url=False, include_input=False)[0]
        return BoughtRow(row=number, said=said, shop=shop, fault=fault_sentence(first, unit))
    except (UnknownArticle, LengthError) as error:
        return BoughtRow(row=number, said=said, shop=shop, fault=str(error))
    much = f"{line.amount:.0f}" if article.measure == "piece" else format_run(line.amount, unit)
    each = f" of {format_length(line.each_mm, unit, hardware=True)}" if line.each_mm else ""
    return BoughtRow(row=number, said=f"{line.article.label}, {much}{each}", shop=shop, line=line)


def _packs(article: Article, cells: Mapping[str, str], unit: Unit) -> tuple[int, float]:
    """How many packs, and what is in one; one pack of all where no pack is written, or more than the packs hold."""
    amount = _much(article, cells, cells["amount"], unit)
    if not cells["packs"]:
        return 1, amount
    count = _number(cells["packs"], "how many packs")
    if count != int(count):
        raise LengthError(f"“{cells['packs']}” is no whole number of packs.")
    pack = _much(article, cells, cells["pack of"], unit) or (amount / count if count > 0 else 0.0)
    return (1, amount) if 0 < count * pack < amount - 0.5 else (int(count), pack)


def _much(article: Article, cells: Mapping[str, str], text: str, unit: Unit) -> float:
    if not text:
        return 0.0
    if article.measure == "piece" or cells["each"]:
        return _number(text, "how many")
    return parse_length(text if has_unit(text) else length_written(text, article.sort), unit)


def _number(text: str, what: str) -> float:
    plain = text.replace("\u00a0", "").replace(" ", "").strip("€$£")
    try:
        number = float(
            plain.replace(",", ".") if plain.count(",") == 1 and "." not in plain else plain.replace(",", "")
        )
    except ValueError:
        number = math.nan
    if not math.isfinite(number):
        raise LengthError(f"“{text}” is not {what}: write a number.")
    return number
