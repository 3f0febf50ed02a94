"""The card of a garment on one page: measures, what it is made of, what it took, and what is said of it."""

from collections.abc import Iterator

from reportlab.platypus import Flowable, Paragraph

from fuseau.craft.base.lengths import Unit, format_length, format_run
from fuseau.document.build import Build
from fuseau.files.lists import as_pdf, list_styles, ruled, safe
from fuseau.files.paper import Paper
from fuseau.planning.record import Card
from fuseau.wording import Words


def card_pdf(build: Build, card: Card, paper: Paper, unit: Unit) -> bytes:
    """The card as a PDF. What is not known is left out."""
    title, head, plain, _ = list_styles()
    version = f", version {card.version}" if card.version else ""
    done = build.record.finished_on
    story: list[Flowable] = [
        Paragraph(safe(build.brief.name), title),
        Paragraph(safe(f"{card.kind.capitalize()}{version}, for {card.wearer or 'the wearer'}"), plain),
        Paragraph(safe(build.brief.character), plain),
        Paragraph(f"Finished on {done.isoformat()}" if done else "Not finished yet", plain),
    ]
    for name, rows in (("Measures", list(_measures(card, unit))), ("Made of", list(_made_of(card, unit)))):
        story += [
            Paragraph(name, head),
            ruled([[Paragraph(safe(one), plain) for one in row] for row in rows], (38, 134)),
        ]
    for name, lines in (
        ("Mock-ups", [_tried(card, i, unit) for i in range(len(card.tried))]),
        ("Likes", list(build.record.likes)),
        ("Would change", list(build.record.would_change)),
        ("Worn", [*_wears(build, unit), *(Words(unit)(one) for one in card.says)]),
    ):
        if lines:
            story.append(Paragraph(name, head))
            story += [Paragraph(f"– {safe(line)}", plain) for line in lines]
    return as_pdf(story, f"{build.brief.name}: card", paper)


def _measures(card: Card, unit: Unit) -> Iterator[tuple[str, str]]:
    for name, length in (
        ("closed waist", card.closed_waist_mm),
        ("worn waist", card.worn_waist_mm),
        ("reduction", card.reduction_mm),
        ("gap behind", card.gap_mm),
        ("CF length", card.cf_mm),
        ("side length", card.side_mm),
        ("CB length", card.cb_mm),
    ):
        if length is not None:
            yield name, format_length(length, unit)


def _made_of(card: Card, unit: Unit) -> Iterator[tuple[str, str]]:
    if card.panels:
        yield "panels", f"{card.panels} in each half"
    yield "plies", "; ".join(card.plies) or "none yet"
    yield "made up", card.method
    for bones in card.bones:
        yield "bones", f"{bones.count} × {bones.kind}"
    if card.opening is not None:
        yield "opens by", Words(unit)(card.opening)
    if card.rows:
        yield "holes", f"{card.rows} rows, {card.holes}"
    if card.lace and card.lace_mm:
        yield "lace", f"{card.lace}, {format_run(card.lace_mm, unit)}"
    if card.logged_min:
        yield "hours at it", f"{card.logged_min / 60:.1f}"
    if card.mock_up_cost:
        yield "mock-ups cost", f"{card.mock_up_cost:.2f}"


def _tried(card: Card, i: int, unit: Unit) -> str:
    one = card.tried[i]
    gap = f", mean gap {format_length(one.gap_mm, unit)}" if one.gap_mm is not None else ""
    return f"Version {one.version}{gap}{f': {one.note}' if one.note else ''}"


def _wears(build: Build, unit: Unit) -> Iterator[str]:
    for wear in build.record.wears:
        parts = [wear.on.isoformat()]
        parts += [f"{wear.hours:g} hours"] if wear.hours else []
        parts += [wear.heat] if wear.heat else []
        parts += [f"gap {format_length(wear.gap_mm, unit)}"] if wear.gap_mm is not None else []
        parts += [str(wear.comfort)] if wear.comfort else []
        parts += [f"gave way: {wear.gave_way}"] if wear.gave_way else []
        parts += [wear.note] if wear.note else []
        yield ", ".join(parts)
