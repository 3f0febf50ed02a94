"""Trim lines that are marked on the brief's pictures, and what becomes of them on the garment (model, 15 and 17)."""

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Message
from fuseau.craft.base.record import Record
from fuseau.craft.trims.choices import Spot
from fuseau.craft.trims.from_picture import spots_on
from fuseau.document.build import Build, Mark, Picture
from fuseau.planning.plan import Plan


class TrimMark(Record):
    """A trim line marked on a picture: where it would lie on the garment, or why it can't be told."""

    picture: str
    picture_name: str
    number: int
    spots: tuple[Spot, ...] = ()
    fault: Message | None = None


def trim_marks(build: Build, planned: Plan) -> tuple[TrimMark, ...]:
    """Every trim line of the brief's pictures, as it would lie on the front of the garment."""
    if planned.pattern is None:
        return ()
    return tuple(
        _mark(picture, mark, i + 1, planned)
        for picture in build.brief.pictures
        for i, mark in enumerate([one for one in picture.marks if one.kind == "trim"])
    )


def _mark(picture: Picture, mark: Mark, number: int, planned: Plan) -> TrimMark:
    found = TrimMark(picture=picture.id, picture_name=picture.name, number=number)
    pattern = planned.pattern
    assert pattern is not None
    high = picture.height_px / picture.width_px  # marks are shares of width and height: one scale for both

    def points(kind: str) -> list[tuple[float, float]]:
        lines = [one.points for one in picture.marks if one.kind == kind]
        return [(x, y * high) for x, y in lines[0]] if lines else []

    top, hem = points("top line"), points("hem")
    try:
        if not top or not hem:
            raise Unmakeable("mark", "trim.no_edges")
        line = [(x, y * high) for x, y in mark.points]
        spots = spots_on(line, top, hem, points("closure"), pattern.panels, pattern.front_panels)
    except Unmakeable as error:
        return found.model_copy(update={"fault": error.message})
    return found.model_copy(update={"spots": spots})
