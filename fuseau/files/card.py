"""The card of a garment on one page: its photos, measures, what it is made of, what it took, what is said of it."""

import ctypes
import io
from collections.abc import Iterator, Mapping, Sequence

from reportlab.graphics.shapes import Drawing, Polygon
from reportlab.lib import colors
from reportlab.lib.units import mm
from reportlab.platypus import Flowable, Image, Paragraph, Table, TableStyle

from fuseau.craft.base.lengths import Unit, format_length
from fuseau.document.build import Build
from fuseau.files.lists import as_pdf, list_styles, ruled, safe
from fuseau.files.on_body_page import on_her
from fuseau.files.paper import Paper
from fuseau.files.unreadable import UnreadableFile
from fuseau.planning.stages.record import Card, FactGroup
from fuseau.planning.worn.on_body import OnBody
from fuseau.wording import Words

_PHOTO_MM, _PHOTOS = 54.0, 3
_ENOUGH_PHOTOS, _ON_HER_MM = 2, 66.0
_FLAT_MM = 26.0
_FLAT_WIDE_MM = 60.0
_WIDE_MM = 172.0
_DPI = 150
BUILD_IN_CARD = "build.fuseau.json"


def card_pdf(
    build: Build,
    card: Card,
    paper: Paper,
    unit: Unit,
    pictures: Mapping[str, bytes] | None = None,
    document: bytes | None = None,
    seen: OnBody | None = None,
) -> bytes:
    """The card as a PDF, with the bytes of its photos among `pictures`. What is not known is left out.

    While there are few photos of it, it is drawn on her: as `seen`.

    With a `document`, the build's own file, it carries that as an attachment, and is taken in again like it.
    """
    title, head, plain, _ = list_styles()
    version = f", version {card.version}" if card.version else ""
    done = build.record.finished_on
    story: list[Flowable] = [
        Paragraph(safe(build.brief.name), title),
        Paragraph(safe(f"{card.kind.capitalize()}{version}, for {card.wearer or 'the wearer'}"), plain),
        Paragraph(safe(build.brief.character), plain),
        Paragraph(f"Finished on {done.isoformat()}" if done else "Not finished yet", plain),
    ]
    story += _drawn(card, pictures or {}, seen)
    say = Words(unit)

    def listed(group: FactGroup) -> list[tuple[str, str]]:
        return [(fact.name, say(fact.value)) for fact in card.facts if fact.group == group]

    def column(rows: list[tuple[str, str]], widths_mm: tuple[float, float]) -> list[Flowable]:
        return [ruled([[Paragraph(safe(one), plain) for one in row] for row in rows], widths_mm)] if rows else []

    measures, took, made_of = listed("measures"), listed("took"), listed("made of")
    if measures or took:
        heads = [Paragraph("Measures", head), Paragraph("Took" if took else "", head)]
        story.append(_beside(heads, [column(measures, (40, 40)), column(took, (52, 34))]))
    half = (len(made_of) + 1) // 2
    columns = [column(made_of[:half], (38, 44)), column(made_of[half:], (38, 48))]
    story.append(_beside([Paragraph("Made of", head), ""], columns))
    for name, lines in (
        ("Mock-ups", [_tried(card, i, unit) for i in range(len(card.tried))]),
        ("Likes", list(build.record.likes)),
        ("Would change", list(build.record.would_change)),
        ("Worn", [*_wears(build, unit), *(say(one) for one in card.says)]),
    ):
        if lines:
            story.append(Paragraph(name, head))
            story += [Paragraph(f"– {safe(line)}", plain) for line in lines]
    printed = as_pdf(story, f"{build.brief.name}: card", paper)
    return printed if document is None else _carrying(printed, document)


def _beside(heads: Sequence[Flowable | str], columns: Sequence[list[Flowable]]) -> Table:
    """Two columns with their heads."""
    table = Table([list(heads), list(columns)], colWidths=[86 * mm, 86 * mm], hAlign="LEFT")
    tight = [(side, (0, 0), (-1, -1), 0) for side in ("LEFTPADDING", "TOPPADDING", "BOTTOMPADDING")]
    table.setStyle(TableStyle([("VALIGN", (0, 0), (-1, -1), "TOP"), *tight]))
    return table


def _drawn(card: Card, pictures: Mapping[str, bytes], seen: OnBody | None) -> list[Flowable]:
    """Front, side and back, as far as there are photos of them; else on her; and the panels beside them."""
    order = ("front", "side", "back", "detail")
    shown = [photo for photo in sorted(card.photos, key=lambda photo: order.index(photo.view)) if photo.id in pictures][
        :_PHOTOS
    ]
    images: list[Flowable] = []
    for one in shown:
        room = _WIDE_MM - _FLAT_WIDE_MM - (_ON_HER_MM + 4 if seen and len(shown) < _ENOUGH_PHOTOS else 0)
        high = min(_PHOTO_MM, (room - 4 * len(shown)) / len(shown) * one.height_px / one.width_px)
        wide = high * one.width_px / one.height_px
        images.append(Image(io.BytesIO(pictures[one.id]), width=wide * mm, height=high * mm))
    if seen is not None and len(shown) < _ENOUGH_PHOTOS:
        images.append(on_her(seen, ((0.0, ""), (180.0, "")), _ON_HER_MM, _PHOTO_MM)[0])
    images += _flat(card)
    if not images:
        return []
    tight = [("LEFTPADDING", (0, 0), (-1, -1), 0), ("TOPPADDING", (0, 0), (-1, -1), 6)]
    return [Table([images], hAlign="LEFT", style=[*tight, ("VALIGN", (0, 0), (-1, -1), "BOTTOM")])]


def _flat(card: Card) -> list[Flowable]:
    """One half of the garment, its panels as they lie from CF to CB."""
    points = [point for outline in card.outlines for point in outline]
    if not points:
        return []
    left, right = min(x for x, _ in points), max(x for x, _ in points)
    low, high = min(z for _, z in points), max(z for _, z in points)
    scale = min(_FLAT_MM / max(high - low, 1.0), _FLAT_WIDE_MM / max(right - left, 1.0)) * mm
    drawing = Drawing((right - left) * scale + 2, (high - low) * scale + 8)
    for outline in card.outlines:
        flat = [value for x, z in outline for value in ((x - left) * scale + 1, (z - low) * scale + 1)]
        drawing.add(Polygon(flat, fillColor=None, strokeColor=colors.HexColor("#1d2733"), strokeWidth=0.6))
    drawing.hAlign = "LEFT"
    return [drawing]


def _carrying(printed: bytes, document: bytes) -> bytes:
    """A PDF with the build's own file attached (ISO 32000-1, 7.11.4)."""
    import pypdfium2 as pdfium

    pdf = pdfium.PdfDocument(printed)
    try:
        pdf.new_attachment(BUILD_IN_CARD).set_data(document)
        target = io.BytesIO()
        pdf.save(target)
        return target.getvalue()
    finally:
        pdf.close()


def build_of_card(content: bytes) -> bytes:
    """The build's own file that a card carries. Raises UnreadableFile where it carries none, or is no PDF."""
    import pypdfium2 as pdfium

    try:
        pdf = pdfium.PdfDocument(content)
    except pdfium.PdfiumError:
        raise UnreadableFile("This PDF is damaged: it can’t be opened.") from None
    try:
        for i in range(pdf.count_attachments()):
            one = pdf.get_attachment(i)
            if one.get_name() == BUILD_IN_CARD:
                return ctypes.string_at(one.get_data(), len(one.get_data()))
    except pdfium.PdfiumError:
        raise UnreadableFile("This PDF is damaged: what it carries can’t be read.") from None
    finally:
        pdf.close()
    raise UnreadableFile("This PDF carries no build. A card does that is saved as one file.")


def card_png(printed: bytes) -> bytes:
    """A printed card as one PNG, its pages below each other, without the empty paper at the foot of each."""
    import pypdfium2 as pdfium
    from PIL import Image as Pictures
    from PIL import ImageChops

    pdf = pdfium.PdfDocument(printed)
    try:
        pages = [page.render(scale=_DPI / 72).to_pil().convert("RGB") for page in pdf]
    finally:
        pdf.close()
    margin = round(10 / 25.4 * _DPI)
    parts = []
    for page in pages:
        drawn = ImageChops.difference(page, Pictures.new("RGB", page.size, "white")).getbbox()
        foot = page.height if drawn is None else min(page.height, drawn[3] + margin)
        parts.append(page.crop((0, 0, page.width, foot)))
    whole = Pictures.new("RGB", (parts[0].width, sum(part.height for part in parts)), "white")
    at = 0
    for part in parts:
        whole.paste(part, (0, at))
        at += part.height
    target = io.BytesIO()
    whole.save(target, "PNG", optimize=True)
    return target.getvalue()


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
