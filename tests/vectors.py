"""Test vectors for the interface's pure functions, written anew by the core: `python -m tests.vectors FILE`."""

import json
import sys
from pathlib import Path

from fuseau.commands.fields import change
from fuseau.commands.fittings import log_fitting
from fuseau.commands.versions import accept, cut_version
from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import Unit, format_length, format_run, parse_length
from fuseau.craft.fit.fit import feel_of
from fuseau.document.build import Build
from fuseau.planning.pipeline import plan
from fuseau.wording import Words
from tests.conftest import TODAY
from tests.kinds import built

SIZES = (0.0, 0.4, 0.5, 1.0, 3.175, 9.5, 12.7, 25.4, 99.95, 280.0, 622.3, 700.0, 1234.5)
READINGS = [{"z_mm": z, "gap_mm": gap} for z, gap in ((90, 62), (0, 71), (-110, 58))]


SHARES = (0.0, 0.019, 0.021, 0.1, 0.299, 0.301, 0.5, 0.699, 0.701, 0.9, 0.999, 1.001, 1.4, 3.0)
RUNS = (0.0, 99.9, 100.0, 914.4, 914.5, 1143.0, 1563.0, 5503.0, 12345.6)


def lengths() -> list[dict[str, object]]:
    """Lengths as the core shows them, and what it reads back from that."""
    units: tuple[Unit, ...] = ("cm", "in")
    found: list[dict[str, object]] = []
    for size in SIZES:
        for mm in (size, -size):
            for unit in units:
                for hardware in (False, True):
                    text = format_length(mm, unit, hardware=hardware)
                    bare = format_length(mm, unit, hardware=hardware, bare=True)
                    back = parse_length(text, signed=True)
                    found.append(
                        {"mm": mm, "unit": unit, "hardware": hardware, "text": text, "bare": bare, "reads": back}
                    )
    return found


def tried() -> Build:
    """A corset that was tried on: its second version is proposed."""
    build = built("underbust corset")
    build = log_fitting(build, plan(build), {"pull": "close", "readings": READINGS}, TODAY, "cm")
    return change(build, [Change(at="bones.lacing_edge", value="synthetic_7")], "cm")


def shown(build: Build) -> dict[str, object]:
    """A build and its plan as they go over the wire."""
    planned = plan(build).model_dump_json(context=Words("cm").context)
    return {"build": json.loads(build.model_dump_json()), "plan": json.loads(planned)}


def main(target: Path) -> None:
    """Write the vectors."""
    found = {
        "lengths": lengths(),
        "runs": [{"mm": mm, "unit": unit, "text": format_run(mm, unit)} for mm in RUNS for unit in ("cm", "in")],
        "feels": [{"share": share, "feel": feel_of(share, 1.0, 0.0)} for share in SHARES],
        "tried": shown(tried()),
        "second": shown(accept(tried(), plan(tried()), TODAY)),
        "draft": shown(cut_version(built("overbust corset"), plan(built("overbust corset")), TODAY)),
    }
    target.parent.mkdir(exist_ok=True)
    target.write_text(json.dumps(found))


if __name__ == "__main__":
    main(Path(sys.argv[1]))
