"""Trim lines that are marked on the brief's pictures, and what becomes of them on the garment (model, 15 and 17)."""

from collections.abc import Iterator

import numpy as np

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Message
from fuseau.craft.base.record import Record
from fuseau.craft.trims.choices import Spot
from fuseau.craft.trims.from_picture import spots_on
from fuseau.craft.worn.surface import HalfWorn
from fuseau.document.build import Build, Mark, Picture
from fuseau.planning.pictures.across import across_of
from fuseau.planning.pictures.lines import points_of
from fuseau.planning.pictures.pose import pose_on
from fuseau.planning.plan import Plan
from fuseau.planning.worn.on_body import OnBodyInputs, inputs_of

_EDGE_MM = 8.0  # past top line or hem: so far it is still meant to lie on it


class TrimMark(Record):
    """A trim line marked on a picture: where it would lie on the garment, or why it can't be told."""

    picture: str
    picture_name: str
    number: int
    spots: tuple[Spot, ...] = ()
    fault: Message | None = None


def trim_marks(build: Build, planned: Plan) -> tuple[TrimMark, ...]:
    """Every trim line of the brief's pictures, as it would lie on the garment.

    Seen from the front between the marked top line and hem it keeps its share of the way between them; else it lies
    where how she stands on the picture says.
    """
    if planned.pattern is None:
        return ()
    inputs = inputs_of(build, planned)
    return tuple(
        _mark(picture, mark, i + 1, planned, inputs)
        for picture in build.brief.pictures
        for i, mark in enumerate([mark for mark in picture.marks if mark.kind == "trim"])
    )


def _mark(picture: Picture, mark: Mark, number: int, planned: Plan, inputs: OnBodyInputs | None) -> TrimMark:
    found = TrimMark(picture=picture.id, picture_name=picture.name, number=number)
    pattern = planned.pattern
    assert pattern is not None
    high = picture.height_px / picture.width_px  # marks are shares of width and height: one scale for both

    def points(kind: str) -> list[tuple[float, float]]:
        lines = [mark.points for mark in picture.marks if mark.kind == kind]
        return [(x, y * high) for x, y in lines[0]] if lines else []

    top, hem = points("top line"), points("hem")
    try:
        line = [(x, y * high) for x, y in mark.points]
        if top and hem and not picture.turned_deg:
            spots = spots_on(line, top, hem, points("closure"), pattern.panels, pattern.front_panels)
        elif inputs is not None and inputs.worn is not None and "waist" in across_of(picture):
            spots = tuple(_by_pose(picture, mark, inputs))
        else:
            raise Unmakeable("mark", "trim.no_edges")
    except Unmakeable as error:
        return found.model_copy(update={"fault": error.message})
    return found.model_copy(update={"spots": spots})


def _by_pose(picture: Picture, mark: Mark, inputs: OnBodyInputs) -> Iterator[Spot]:
    """What of a line lies on the garment, on the side of CF on which more of it is.

    Raises Unmakeable at `mark` where nothing of it does.
    """
    figure, worn = inputs.figure, inputs.worn
    assert worn is not None
    nominal, place = pose_on(picture, figure).on_her(figure, points_of(mark, picture))
    right = place >= 0
    keep = right if right.sum() >= len(right) / 2 else ~right
    nominal, place = nominal[keep], np.abs(place[keep])
    numbers, flat = HalfWorn(figure, worn.pattern).to_flat(nominal, figure.over.at(nominal).run(place))
    count = 0
    for number, (x, z) in zip(numbers, flat, strict=True):
        panel = worn.panels[number - 1]
        top, hem = (float(np.interp(x, *np.array(sorted(edge)).T)) for edge in (panel.top, panel.hem))
        if hem - _EDGE_MM <= z <= top + _EDGE_MM:
            count += 1
            yield Spot(panel=number, x_mm=round(float(x), 1), z_mm=round(float(min(max(z, hem), top)), 1))
    if count < 2:
        raise Unmakeable("mark", "trim.beside")
