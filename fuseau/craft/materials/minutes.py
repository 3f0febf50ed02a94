"""What work takes: minutes by hand and machine, as starting points that her own log replaces (handbook, section 6)."""

from collections.abc import Mapping
from typing import Literal

Work = Literal[
    "cut a ply",
    "mark",
    "baste by machine",
    "baste by hand",
    "fuse",
    "sew a seam",
    "sew a curved seam",
    "press a seam",
    "topstitch a seam",
    "sandwich seam",
    "grade a seam",
    "channel stitching",
    "inside tape",
    "outside tape",
    "facing",
    "binding on",
    "binding by hand",
    "floating lining",
]

# per panel and ply (the pair), per panel, per seam of each half, per line of stitching, per channel, per edge of each
# half, per 100 mm, per garment
MINUTES: Mapping[Work, float] = {
    "cut a ply": 6,
    "mark": 4,
    "baste by machine": 5,
    "baste by hand": 14,
    "fuse": 5,
    "sew a seam": 7,
    "sew a curved seam": 14,
    "press a seam": 5,
    "topstitch a seam": 8,
    "sandwich seam": 15,
    "grade a seam": 3,
    "channel stitching": 4,
    "inside tape": 9,
    "outside tape": 14,
    "facing": 15,
    "binding on": 2,
    "binding by hand": 8,
    "floating lining": 90,
}
