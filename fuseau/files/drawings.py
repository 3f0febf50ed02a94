"""Drawings that come in: closed outlines from SVG and DXF files, in millimetres with y up (model, section 4).

SVG is read by svgelements, DXF by ezdxf; both come from strangers, so a drawing with scripts, outside links, entities
or bombs of nested groups is refused before it is opened.
"""

import io
import math
import re
import xml.etree.ElementTree as ElementTree
from typing import Any, Literal

import numpy as np
from defusedxml import DefusedXmlException
from defusedxml.ElementTree import iterparse
from shapely.geometry import LineString, Point, Polygon
from shapely.ops import linemerge

from fuseau.craft.base.record import Sent
from fuseau.craft.pattern.traced_outlines import narrowest
from fuseau.files.unreadable import UnreadableFile

Spot = tuple[float, float]
DrawingUnit = Literal["mm", "cm", "in", "px"]

MM_OF: dict[DrawingUnit, float] = {"mm": 1.0, "cm": 10.0, "in": 25.4, "px": 25.4 / 96}
LARGEST_BYTES = 4_000_000
_MOST_ELEMENTS, _DEEPEST, _MOST_USES = 20_000, 60, 200
_MOST_NUMBERS, _MOST_POINTS, _MOST_OUTLINES, _MOST_ROWS = 400_000, 400_000, 3_000, 300_000
_LEAST_AREA_MM2, _LARGEST_MM = 1500.0, 5000.0
_FINE_MM = 0.03  # a flattened curve leaves the true one by no more
_SQUARE_MM = 50.0


class DrawnPiece(Sent):
    """A closed outline: its points, its waistline (as drawn, or else where it is narrowest), what it is called."""

    name: str
    points: list[Spot]
    waist_mm: float | None = None
    waist_drawn: bool = False


class Drawing(Sent):
    """The closed outlines of a drawing from left to right, and what was left out of it."""

    pieces: list[DrawnPiece]
    notes: list[str]
    needs_unit: bool = False


def read_drawing(content: bytes, name: str, unit: DrawingUnit | None = None) -> Drawing:
    """The outlines in an SVG or DXF file. `unit` is for a drawing that has no real size of its own.

    Raises UnreadableFile with one plain sentence.
    """
    if not content.strip():
        raise UnreadableFile("This file is empty.")
    if len(content) > LARGEST_BYTES:
        raise UnreadableFile(f"This drawing has {len(content) / 1e6:.1f} MB; {LARGEST_BYTES / 1e6:.0f} MB at the most.")
    head = content[:2000].lstrip(b"\xef\xbb\xbf \t\r\n").lower()
    kind = "SVG" if head.startswith(b"<") else "DXF"
    if kind == "DXF" and not head.startswith((b"0", b"999", b"autocad binary dxf")):
        raise UnreadableFile("This is neither an SVG nor a DXF drawing.")
    try:
        found = (_svg if kind == "SVG" else _dxf)(content, unit)
    except UnreadableFile:
        raise
    except MemoryError:
        raise UnreadableFile(f"This {kind} needs more memory than any pattern does.") from None
    except Exception:  # a drawing that is odd enough makes its library, or geometry with what it gave, raise anything
        raise UnreadableFile(f"This {kind} is damaged: it cannot be read.") from None
    if not found.pieces and not found.needs_unit:
        said = " ".join(found.notes)
        raise UnreadableFile(f"There is no closed outline as large as a panel in this drawing. {said}".strip())
    return found


# --- SVG -------------------------------------------------------------------------------------------------


def _svg(content: bytes, unit: DrawingUnit | None) -> Drawing:
    root = _safe_root(content)
    scale, real = _svg_scale(root, unit)
    if not real and unit is None:
        return Drawing(pieces=[], notes=["This drawing has no real size: say what its unit is."], needs_unit=True)
    from svgelements import SVG, Path, Shape

    try:
        drawing = SVG.parse(io.BytesIO(content), ppi=25.4 if real else 96.0, reify=True)
    except (ValueError, TypeError, IndexError, KeyError, AttributeError, ZeroDivisionError, RecursionError) as error:
        raise UnreadableFile(f"This SVG is damaged: {str(error)[:80] or 'it cannot be read'}.") from None
    closed: list[tuple[str, str, list[Spot]]] = []
    lines: list[tuple[str, LineString]] = []
    open_paths = drawn = 0
    for element in drawing.elements():
        if not isinstance(element, Shape):
            continue
        kind = _class_of(element)
        for part in Path(element).as_subpaths():
            points = _flatten(Path(part), scale)
            if len(points) < 2:
                continue
            drawn = _counted(drawn + len(points))
            if len(points) > 3 and math.dist(points[0], points[-1]) < 0.5:
                closed.append((kind, str(element.id or ""), points))
            else:
                line = LineString(np.array(points))
                lines.append((kind, line))
                open_paths += 1 if line.length > 150 and kind not in ("waist", "grain") else 0
    return _sorted_out(closed, lines, open_paths)


def _counted(points: int) -> int:
    if points > _MOST_POINTS:
        raise UnreadableFile(f"The lines of this drawing have more than {_MOST_POINTS} points: it is no pattern.")
    return points


def _safe_root(content: bytes) -> ElementTree.Element:
    """The root of an SVG that holds nothing dangerous. Raises UnreadableFile."""
    numbers = sum(1 for _ in re.finditer(rb"\d+", content))
    if numbers > _MOST_NUMBERS:
        raise UnreadableFile(f"This SVG holds {numbers} numbers; {_MOST_NUMBERS} are more than any pattern has.")
    low = content.lower()
    if b"<script" in low or re.search(rb"\son[a-z]+\s*=", low) or b"javascript:" in low:
        raise UnreadableFile("This SVG holds a script: save it as a plain SVG.")
    depth = count = 0
    root: ElementTree.Element | None = None
    try:
        for event, element in iterparse(io.BytesIO(content), events=("start", "end")):
            if event == "start":
                root = element if root is None else root
                depth, count = depth + 1, count + 1
                if depth > _DEEPEST or count > _MOST_ELEMENTS:
                    raise UnreadableFile(
                        f"This SVG has more parts than a pattern ({_MOST_ELEMENTS}, {_DEEPEST} deep at the most)."
                    )
            else:
                depth -= 1
    except DefusedXmlException:
        raise UnreadableFile(
            "This SVG defines entities, which a drawing does not need: save it as a plain SVG."
        ) from None
    except ElementTree.ParseError as error:
        raise UnreadableFile(f"This SVG breaks off or is damaged at line {error.position[0]}.") from None
    if root is None or _tag(root) != "svg":
        raise UnreadableFile("This is not an SVG drawing.")
    _check_links(root)
    return root


def _tag(element: ElementTree.Element) -> str:
    return element.tag.rsplit("}", 1)[-1].lower() if isinstance(element.tag, str) else ""


def _check_links(root: ElementTree.Element) -> None:
    users = [element for element in root.iter() if _tag(element) == "use"]
    targets = {element.get("id"): element for element in root.iter() if element.get("id")}
    for element in root.iter():
        for attribute, value in element.attrib.items():
            if attribute.rsplit("}", 1)[-1] == "href" and not value.strip().startswith(("#", "data:image/")):
                if _tag(element) == "a":
                    continue
                raise UnreadableFile("This SVG links to something outside it: save it with everything inside.")
    for user in users:
        wanted = next((v for k, v in user.attrib.items() if k.rsplit("}", 1)[-1] == "href"), "")
        target = targets.get(wanted.lstrip("#"))
        if target is not None and any(_tag(inner) == "use" for inner in target.iter()):
            raise UnreadableFile("This SVG repeats groups within groups: save it as a plain SVG.")
    if len(users) > _MOST_USES:
        raise UnreadableFile(f"This SVG repeats parts {len(users)} times: {_MOST_USES} at the most.")


def _svg_scale(root: ElementTree.Element, unit: DrawingUnit | None) -> tuple[float, bool]:
    """Millimetres per unit as svgelements gives them, and whether the drawing has a real size."""
    width = (root.get("width") or "").strip().lower()
    if re.fullmatch(r"[\d.+eE-]+\s*(mm|cm|in|pt|pc|q)", width):
        return 1.0, True  # with 25.4 pixels to the inch a pixel is a millimetre
    box = [
        float(part)
        for part in re.findall(r"[-+]?[\d.]+(?:[eE][-+]?\d+)?", root.get("viewbox") or root.get("viewBox") or "")
    ]
    plain = re.fullmatch(r"([\d.]+)\s*(?:px)?", width)
    drawn = float(plain[1]) / box[2] if plain and len(box) == 4 and box[2] else 1.0
    return (MM_OF[unit] / drawn if unit else 1.0), False


def _class_of(element: Any) -> str:
    """The class of a shape or of the group it stands in, for drawings that Fuseau wrote."""
    return str(element.values.get("class") or "").split(" ")[0].lower()


def _flatten(path: Any, scale: float) -> list[Spot]:
    """Points of a path in mm with y up: corners kept, curves in steps that stay within `_FINE_MM`."""
    from svgelements import Close, Line, Move

    points: list[Spot] = []

    def add(x: float, y: float) -> None:
        spot = (x * scale, -y * scale)
        if not all(map(math.isfinite, spot)) or max(map(abs, spot)) > 4 * _LARGEST_MM:
            raise UnreadableFile("A path of this SVG runs off to infinity, or is metres large: check its unit.")
        if not points or math.dist(points[-1], spot) > 1e-4:
            points.append(spot)

    for segment in path:
        if isinstance(segment, Move | Line | Close):
            if segment.end is not None:
                add(segment.end.x, segment.end.y)
        else:
            rough = _rough_length(segment) * scale
            count = int(min(400, max(2, min(8, rough * 4), rough / 1.5)))
            for point in segment.npoint(np.linspace(0, 1, count + 1)[1:]):
                add(float(point[0]), float(point[1]))
    return points


def _rough_length(segment: Any) -> float:
    """No shorter than the segment: its control polygon, or for an arc the ellipse's box."""
    if hasattr(segment, "rx"):
        return float(math.pi * (segment.rx + segment.ry))
    points = [
        getattr(segment, name) for name in ("start", "control", "control1", "control2", "end") if hasattr(segment, name)
    ]
    spots = [_xy(point) for point in points if point is not None]
    return sum(math.dist(a, b) for a, b in zip(spots, spots[1:], strict=False))


def _xy(point: Any) -> Spot:
    return float(point.x), float(point.y)


# --- DXF -------------------------------------------------------------------------------------------------

_DXF_MM: dict[int, float] = {1: 25.4, 2: 304.8, 4: 1.0, 5: 10.0, 6: 1000.0}


def _dxf(content: bytes, unit: DrawingUnit | None) -> Drawing:
    from ezdxf import path as paths
    from ezdxf import recover

    rows, entities = content.count(b"\n"), len(re.findall(rb"\n[ \t]*0\r?\n", content))
    if rows > _MOST_ROWS:
        raise UnreadableFile(f"This DXF has {rows} rows; {_MOST_ROWS} are more than any pattern has.")
    if entities > _MOST_ELEMENTS:
        raise UnreadableFile(f"This DXF has {entities} entities; {_MOST_ELEMENTS} are more than any pattern has.")
    document, _ = recover.read(io.BytesIO(content))
    units = int(document.header.get("$INSUNITS", 0) or 0)
    if units not in _DXF_MM and unit is None:
        return Drawing(pieces=[], notes=["This DXF does not say its unit: say what it is."], needs_unit=True)
    scale = MM_OF[unit] if units not in _DXF_MM and unit else _DXF_MM.get(units, 1.0)
    closed: list[tuple[str, str, list[Spot]]] = []
    loose: dict[str, list[LineString]] = {}
    drawn = 0
    for count, entity in enumerate(_flat_entities(document.modelspace())):
        if count > _MOST_ELEMENTS:
            raise UnreadableFile(f"This DXF has more than {_MOST_ELEMENTS} entities: it is no pattern.")
        try:
            path = paths.make_path(entity)
        except (TypeError, ValueError):
            continue
        # looked at before it is laid out in points: an arc as large as a planet has millions
        reach = max((max(abs(v.x), abs(v.y)) for v in path.control_vertices()), default=0.0) * scale
        if not reach <= 4 * _LARGEST_MM:
            raise UnreadableFile("A line of this DXF runs off to infinity, or is metres large: check its unit.")
        found = [list(one.flattening(_FINE_MM / scale)) for one in path.sub_paths()]
        drawn = _counted(drawn + sum(map(len, found)))
        layer = str(entity.dxf.layer).lower()
        for vertices in found:
            points = [(float(v.x) * scale, float(v.y) * scale) for v in vertices]
            if len(points) < 2 or not np.isfinite(points).all():
                continue
            if len(points) > 3 and math.dist(points[0], points[-1]) < 0.5:
                closed.append((layer, "", points))
            else:
                loose.setdefault(layer, []).append(LineString(points))
    lines = []
    for layer, strings in loose.items():
        merged = linemerge([_snapped(string) for string in strings])
        for one in getattr(merged, "geoms", [merged]):
            points = [(float(x), float(y)) for x, y in one.coords]
            if len(points) > 3 and math.dist(points[0], points[-1]) < 0.5:
                closed.append((layer, "", points))
            else:
                lines.append((layer, one))
    open_paths = sum(one.length > 150 and layer not in ("waist", "grain") for layer, one in lines)
    return _sorted_out(closed, lines, open_paths)


def _flat_entities(space: Any, deep: int = 0) -> Any:
    """Entities of a space with blocks laid open, four deep at the most."""
    for entity in space:
        if entity.dxftype() == "INSERT" and deep < 4:
            yield from _flat_entities(entity.virtual_entities(), deep + 1)
        elif entity.dxftype() not in ("TEXT", "MTEXT", "POINT", "DIMENSION", "HATCH", "IMAGE"):
            yield entity


def _snapped(line: LineString) -> LineString:
    return LineString([(round(x, 2), round(y, 2)) for x, y in line.coords])


# --- both ------------------------------------------------------------------------------------------------


def _sorted_out(
    closed: list[tuple[str, str, list[Spot]]], lines: list[tuple[str, LineString]], open_paths: int
) -> Drawing:
    """Which outlines are panels: stitch lines if the drawing names them, else all that are large and not inside."""
    notes = []
    if len(closed) > _MOST_OUTLINES:
        raise UnreadableFile(f"This drawing has {len(closed)} closed outlines; {_MOST_OUTLINES} are the most.")
    named = [one for one in closed if one[0] == "stitch"]
    large = [one for one in (named or closed) if Polygon(one[2]).area >= _LEAST_AREA_MM2 and not _is_square(one[2])]
    shapes = [Polygon(points) for _, _, points in large]
    kept = []
    for i, (_, _, points) in enumerate(large):
        inside = any(
            j != i and other.is_valid and shapes[i].is_valid and other.contains(shapes[i])
            for j, other in enumerate(shapes)
        )
        if not inside:
            kept.append((min(x for x, _ in points), points))
    if len(kept) < len(large):
        notes.append(f"{len(large) - len(kept)} outlines inside others were left out.")
    if open_paths:
        notes.append(f"{open_paths} long lines are not closed and were left out.")
    waists = [line for kind, line in lines if kind == "waist"]
    pieces = []
    for number, (_, points) in enumerate(sorted(kept, key=lambda one: one[0]), start=1):
        if len(points) > 4000:
            points = [points[i] for i in np.linspace(0, len(points) - 1, 3900).astype(int)]
        drawn = _waist_in(points, waists)
        waist = narrowest(tuple(points)) if drawn is None else drawn
        pieces.append(DrawnPiece(name=f"panel {number}", points=points, waist_mm=waist, waist_drawn=drawn is not None))
    if len(pieces) > 40:
        raise UnreadableFile(f"This drawing has {len(pieces)} outlines as large as a panel: 40 at the most.")
    return Drawing(pieces=pieces, notes=notes)


def _is_square(points: list[Spot]) -> bool:
    """The test square that patterns carry."""
    xs, ys = [x for x, _ in points], [y for _, y in points]
    return abs(max(xs) - min(xs) - _SQUARE_MM) < 0.2 and abs(max(ys) - min(ys) - _SQUARE_MM) < 0.2


def _waist_in(points: list[Spot], waists: list[LineString]) -> float | None:
    shape = Polygon(points)
    if not shape.is_valid:
        return None
    for waist in waists:
        middle = waist.interpolate(0.5, normalized=True)
        if shape.contains(Point(middle)):
            return float(middle.y)
    return None
