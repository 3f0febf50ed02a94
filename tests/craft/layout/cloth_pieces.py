"""Pieces and sheets that tests of laying are made from."""

from hypothesis import strategies as st

from fuseau.craft.base.findings import message
from fuseau.craft.layout.nesting import Sheet
from fuseau.craft.layout.pieces import ClothPiece


def piece(key="a", outline=((0, 0), (0, 200), (80, 220), (90, 0)), **more):
    given_fields = {
        "key": key,
        "what": "panel",
        "label": key,
        "ply": 0,
        "cloth": "coutil",
        "panels": (1,),
        "half": None,
        "count": 2,
        "mirrored": True,
        "outline": outline,
        "stitch": outline,
        "grain": "along",
        "tolerance_deg": 2.0,
        "one_way": False,
        "note": message("piece.mirrored", count=2),
        **more,
    }
    return ClothPiece(**given_fields)


def box(wide, high):
    return ((0, 0), (wide, 0), (wide, high), (0, high))


def sheet(key="s", outline=None, flaws=(), long=600, wide=400):
    return Sheet(key=key, outline=outline or box(long, wide), flaws=flaws)


wedges = st.tuples(st.floats(30, 140), st.floats(60, 260), st.floats(-20, 20)).map(
    lambda one: ((0, 0), (one[2], one[1]), (one[0] + one[2], one[1] * 0.95), (one[0], 0))
)
