"""Cutting panels in two and joining them: girths and edges stay at every height (model, section 4)."""

from collections.abc import Callable

import numpy as np

from fuseau.craft.pattern.pattern import Bump, Panel, Pattern, seam_label


def add_bump(bumps: tuple[Bump, ...], new: Bump) -> tuple[Bump, ...]:
    """Bumps with one more; those of the same reach add up, and what comes to nothing is dropped."""
    same = [bump for bump in bumps if bump.model_copy(update={"amount_mm": new.amount_mm}) == new]
    amount = new.amount_mm + sum(bump.amount_mm for bump in same)
    others = tuple(bump for bump in bumps if bump not in same)
    return others if abs(amount) < 1e-6 else (*others, new.model_copy(update={"amount_mm": amount}))


def renumbered(panels: list[Panel]) -> tuple[Panel, ...]:
    """Panels numbered 1 to N again."""
    return tuple(panel.model_copy(update={"number": i + 1}) for i, panel in enumerate(panels))


def cut_in_two(panels: list[Panel], i: int, across: float) -> list[Panel]:
    """Panel i as two, the new seam `across` of the way from its edge toward CF to that toward CB."""
    panel = panels[i]
    cf, cb = np.array(panel.cf_edge_mm), np.array(panel.cb_edge_mm)
    middle = tuple(map(float, cf + across * (cb - cf)))
    bumps = tuple(
        bump.model_copy(update={"amount_mm": share * bump.amount_mm})
        for share, bumps in ((1 - across, panel.cf_bumps), (across, panel.cb_bumps))
        for bump in bumps
    )
    toward_cf = panel.model_copy(update={"cb_edge_mm": middle, "cb_bumps": bumps})
    toward_cb = panel.model_copy(update={"cf_edge_mm": middle, "cf_bumps": bumps})
    return [*panels[:i], toward_cf, toward_cb, *panels[i + 1 :]]


def join(panels: list[Panel], i: int) -> list[Panel]:
    """Panels i and i + 1 as one, their widths added at every height; CB stays straight, else CF's side stays."""
    one, two = panels[i], panels[i + 1]
    cf, inner_cb = np.array(one.cf_edge_mm), np.array(one.cb_edge_mm)
    inner_cf, cb = np.array(two.cf_edge_mm), np.array(two.cb_edge_mm)

    def turned(bumps: tuple[Bump, ...]) -> tuple[Bump, ...]:
        return tuple(bump.model_copy(update={"amount_mm": -bump.amount_mm}) for bump in bumps)

    def together(*lists: tuple[Bump, ...]) -> tuple[Bump, ...]:
        found: tuple[Bump, ...] = ()
        for bumps in lists:
            for bump in bumps:
                found = add_bump(found, bump)
        return found

    if i + 2 == len(panels):
        joined = one.model_copy(
            update={
                "cf_edge_mm": tuple(map(float, cf + inner_cf - inner_cb)),
                "cf_bumps": together(one.cf_bumps, two.cf_bumps, turned(one.cb_bumps)),
                "cb_edge_mm": two.cb_edge_mm,
                "cb_bumps": two.cb_bumps,
            }
        )
    else:
        joined = one.model_copy(
            update={
                "cb_edge_mm": tuple(map(float, inner_cb + cb - inner_cf)),
                "cb_bumps": together(one.cb_bumps, two.cb_bumps, turned(two.cf_bumps)),
            }
        )
    return [*panels[:i], joined, *panels[i + 2 :]]


def with_other_panels(
    pattern: Pattern, change: Callable[[tuple[Panel, ...]], tuple[Panel, ...]], front: int, seams: dict[int, int]
) -> Pattern:
    """A pattern with other panels: what named a seam or panel is carried to its new number."""
    left = pattern.left and pattern.left.model_copy(update={"panels": change(pattern.left.panels)})
    panel_of = {1: 1, **{seam + 1: new + 1 for seam, new in seams.items()}}
    allowances = pattern.allowances
    labels = {seam_label(old): seam_label(new) for old, new in seams.items()}
    by_seam = {labels[label]: mm for label, mm in allowances.by_seam.items() if label in labels}
    return pattern.model_copy(
        update={
            "panels": change(pattern.panels),
            "left": left,
            "front_panels": front,
            "allowances": allowances.model_copy(update={"by_seam": by_seam}),
            "gussets": (
                *(g.model_copy(update={"seam": seams[g.seam]}) for g in pattern.gussets if g.seam in seams),
                *(
                    g.model_copy(update={"panel": panel_of.get(g.panel, g.panel)})
                    for g in pattern.gussets
                    if g.panel is not None
                ),
            ),
            "darts": tuple(d.model_copy(update={"panel": panel_of.get(d.panel, d.panel)}) for d in pattern.darts),
            "joined": tuple(sorted(seams[seam] for seam in pattern.joined if seam in seams)),
        }
    )
