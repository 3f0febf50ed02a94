"""Drawings for the demo workshop's briefs: invented costumes on a figure, as a maker would scribble them."""

import io
import math
from typing import Literal

from PIL import Image, ImageDraw

from fuseau.files.pictures import DecodedPicture, decode_picture

Look = Literal["lamps", "bees", "collar", "reeds", "gears"]
_CLOTHS: dict[Look, tuple[tuple[int, int, int], tuple[int, int, int]]] = {  # cloth and trim
    "lamps": ((112, 44, 52), (214, 168, 72)),
    "bees": ((196, 152, 58), (58, 46, 30)),
    "reeds": ((74, 98, 92), (196, 204, 178)),
    "gears": ((86, 72, 60), (206, 178, 128)),
}
_WIDE, _HIGH = 640, 900
_PAPER, _INK = (250, 248, 242), (44, 52, 64)


def sketch(look: Look, variant: int = 0, night: bool = False, behind: bool = False) -> DecodedPicture:
    """A figure in a costume; `variant` changes top line and hem, `night` makes it a stage still, `behind` turns it."""
    paper, ink = ((30, 34, 46), (226, 214, 188)) if night else (_PAPER, _INK)
    image = Image.new("RGB", (_WIDE, _HIGH), paper)
    draw = ImageDraw.Draw(image)
    if night:
        for i in range(9):
            x = 60 + 65 * i
            draw.ellipse((x, 70 + 14 * (i % 2), x + 18, 96 + 14 * (i % 2)), fill=(240, 196, 92))
    else:
        for y in range(60, _HIGH, 60):
            draw.line((0, y, _WIDE, y), fill=(226, 228, 226))
    body = [(_half_width(y), y) for y in range(190, 800, 6)]
    outline = [(320 + x, y) for x, y in body] + [(320 - x, y) for x, y in reversed(body)]
    draw.polygon(outline, fill=tuple(min(255, part + 14) for part in paper), outline=ink)
    draw.ellipse((262, 60, 378, 196), outline=ink, width=3)
    draw.line((292, 192, 286, 236), fill=ink, width=3)
    draw.line((348, 192, 354, 236), fill=ink, width=3)
    if look == "collar":
        _collar(draw, variant, ink)
    else:
        _corset(draw, look, variant, ink)
        if behind:
            _laced(draw, variant, paper)
    target = io.BytesIO()
    image.save(target, "PNG")
    return decode_picture(target.getvalue(), f"{look}.png")


def _half_width(y: float) -> float:
    """Half the width of the figure at a height on the paper."""
    knots = ((190, 40), (235, 118), (330, 112), (400, 96), (470, 78), (560, 112), (660, 128), (800, 96))
    for (y0, x0), (y1, x1) in zip(knots, knots[1:], strict=False):
        if y0 <= y <= y1:
            t = (1 - math.cos(math.pi * (y - y0) / (y1 - y0))) / 2
            return x0 + t * (x1 - x0)
    return float(knots[-1][1])


def _corset(draw: ImageDraw.ImageDraw, look: Look, variant: int, ink: tuple[int, ...]) -> None:
    fill, trim = _CLOTHS[look]
    top = 300 if look == "bees" else 395
    hem = 640 + 34 * variant
    rows = range(top, hem, 4)
    left = [(320 - _half_width(y) - 3, y) for y in rows]
    right = [(320 + _half_width(y) + 3, y) for y in rows]
    dip = 26 if variant else -22
    outline = [*left[::-1], (320, top + dip), *right, (320, hem + 40)]
    draw.polygon(outline, fill=fill, outline=ink)
    for share in (-0.66, -0.33, 0, 0.33, 0.66):
        line = [(320 + share * _half_width(y), y) for y in range(top + 10, hem - 2, 6)]
        draw.line(line, fill=trim, width=3)
    if look == "lamps":
        for y in range(top + 24, hem - 10, 34):
            draw.ellipse((313, y, 327, y + 14), fill=trim)
    elif look == "reeds":
        for share in (-0.5, -0.16, 0.16, 0.5):
            for y in range(top + 40, hem - 30, 46):
                draw.arc((310 + share * 150, y, 330 + share * 150, y + 40), 90, 270, fill=trim, width=2)
    elif look == "gears":
        for i in range(4):
            draw.regular_polygon((320, top + 40 + 52 * i, 13), 8, outline=trim, width=2)
    else:
        for row in range(3):
            for i in range(5):
                cx, cy = 240 + 40 * i + 20 * (row % 2), hem - 60 + 22 * row
                draw.regular_polygon((cx, cy, 12), 6, outline=trim)
        skirt = [(320 - _half_width(hem), hem), (110, 880), (530, 880), (320 + _half_width(hem), hem), (320, hem + 40)]
        draw.line([*skirt, skirt[0]], fill=ink, width=3)


def _laced(draw: ImageDraw.ImageDraw, variant: int, paper: tuple[int, ...]) -> None:
    """The gap behind with its lacing."""
    top, hem = 395, 640 + 34 * variant
    draw.polygon([(308, top - 24), (332, top - 24), (331, hem + 42), (309, hem + 42)], fill=paper)
    for y in range(top, hem + 20, 22):
        draw.line((304, y, 336, y + 22), fill=(228, 222, 208), width=2)
        draw.line((336, y, 304, y + 22), fill=(228, 222, 208), width=2)


def _collar(draw: ImageDraw.ImageDraw, variant: int, ink: tuple[int, ...]) -> None:
    flare = 34 + 30 * variant
    outline = [(280, 160), (360, 160), (368, 214), (360 + flare, 262), (320, 276), (280 - flare, 262), (272, 214)]
    draw.polygon(outline, fill=(92, 98, 108), outline=ink)
    for x in (296, 320, 344):
        draw.line((x, 164, 320 + (x - 320) * 1.9, 262), fill=(190, 196, 202), width=3)
