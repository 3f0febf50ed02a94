"""What to aim for: the tension at every level, and from it the girths to sew (model, section 4)."""

import math
from typing import Annotated, Literal

import numpy as np
from pydantic import Field, model_validator

from fuseau.craft.base.curves import Array
from fuseau.craft.base.findings import Change, Finding, Mend, finding, mend
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Amount, Record, at_field
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.compression import used_at
from fuseau.craft.wearer.measures import NECK, LevelName

Job = Literal["closed_waist", "reduction", "reduction_share", "none"]
Pull = Literal["light", "close", "firm"]


MOST_PULL_SHARE = 300 / 260  # of what is firm: what one person pulls at the most, for the house number
_FIRM_SHARE = 1.05  # planned pressures a little over the share that is planned are as planned
MOST_ON_RIBS = 0.6  # of the waist's tension; squeeze belongs at the waist (handbook, section 5)
Share = Annotated[float, Field(ge=0, le=1.5)]


class Target(Record):
    """What the maker wants of the fit."""

    job: Job = "reduction_share"
    closed_waist_mm: Annotated[float, Length("a closed waist", 350, 1900)] | None = None
    reduction_mm: Annotated[float, Length("a reduction", 0, 300)] | None = None
    reduction_percent: Annotated[float, Amount("the reduction in %", 0, 30)] = 8
    gap_mm: Annotated[float, Length("the gap wanted", 0, 200)] = 50
    pull: Pull = "close"
    shares: dict[LevelName, Share] = Field(
        default_factory=dict,
        description="Tension at a level as a share of the waist's, where it was pulled by hand; else house numbers.",
    )
    ease_at: dict[LevelName, Annotated[float, Length("the ease at a level", -200, 200)]] = Field(
        default_factory=dict,
        description="Room at a level of bust or hip as a number, worn; below zero it is squeezed by so much.",
    )
    ease_mm: Annotated[float, Length("the ease round the neck", 10, 80)] | None = Field(
        default=None, description="Room inside a collar; None takes the house number."
    )

    @property
    def of_waist(self) -> str:
        """What is wished of the waist, in one word and number."""
        wished = {
            "closed_waist": self.closed_waist_mm,
            "reduction": self.reduction_mm,
            "reduction_share": self.reduction_percent,
        }
        return f"{self.job} {wished.get(self.job)}"

    @model_validator(mode="after")
    def _guarded(self) -> "Target":
        for name, share in self.shares.items():
            if name in ("underbust", "ribs") and share > MOST_ON_RIBS:
                raise at_field(f"shares.{name}", "target.ribs", level=name, most=MOST_ON_RIBS)
        for name in self.ease_at:
            if name in ("waist", *NECK):
                raise at_field(f"ease_at.{name}", "target.waist_ease")
        return self


class Aim(Record):
    """The plan for the fit, levels from the lowest up: sewn girths S, tension T*, and the pull it is laced with.

    `pull_n_per_m` is what brings the gap to the wish, up to the most that one person pulls. That would do with
    `spared_mm` less of a squeeze; where it shows, `reaches` is false, and `needed_n_per_m` is what the wish would take
    (None: no pull brings it). The waist's closed girth and reduction are as they were asked, reached or not, and
    `tension_n_per_m` is what the levels were planned with.
    """

    sewn_mm: tuple[float, ...]
    tension_n_per_m: tuple[float, ...]
    pull_n_per_m: float
    spared_mm: float = 0.0
    needed_n_per_m: float | None = None
    reaches: bool = True
    closed_waist_mm: float
    worn_waist_mm: float
    reduction_mm: float
    reduction_share: float
    asked_reduction_mm: float


def pull_of(pull: Pull, job: Job, practice: Practice) -> float:
    """The lace's pull in N per m of height for a word; lighter where the garment only supports."""
    kind = "support" if job == "none" else None
    name = f"support_{pull}_n_per_m" if kind else f"{pull}_pull_n_per_m"
    return float(getattr(practice, name))


def most_pull(job: Job, practice: Practice) -> float:
    """The hardest that one person pulls, N per m: what is firm for the job, and a little more."""
    return MOST_PULL_SHARE * pull_of("firm", job, practice)


def pull_in_words(pull_n_per_m: float, practice: Practice) -> str:
    """Light, close or firm: the nearest of the maker's own numbers."""
    words: dict[str, float] = {
        "light": practice.light_pull_n_per_m,
        "close": practice.close_pull_n_per_m,
        "firm": practice.firm_pull_n_per_m,
    }
    return min(words, key=lambda word: abs(words[word] - pull_n_per_m))


def aim_tied(target: Target, body: Body, take_up_mm: float | Array, practice: Practice) -> Aim:
    """The girths of a garment that is tied at its gap and never drawn in: S = C0 + ease − gap + take-up."""
    ease = practice.neck_ease_mm if target.ease_mm is None else target.ease_mm
    natural = np.array([level.girth_mm for level in body])
    takes = take_up_mm + np.zeros(len(natural))
    sewn = natural + ease - target.gap_mm + takes
    zero = body.index_of_zero
    return Aim(
        sewn_mm=tuple(sewn),
        tension_n_per_m=(0.0,) * len(sewn),
        pull_n_per_m=0.0,
        closed_waist_mm=float(sewn[zero]),
        worn_waist_mm=float(natural[zero] + ease + takes[zero]),
        reduction_mm=0.0,
        reduction_share=0.0,
        asked_reduction_mm=0.0,
    )


def check_aim(
    target: Target,
    aimed: Aim,
    body: Body,
    new_to_lacing: bool,
    practice: Practice,
    waist_gap_mm: float | None = None,
    pressed_kpa: float | None = None,
    *,
    laced: bool = True,
) -> list[Finding]:
    """Cautions on the reduction (handbook, section 5), and what wishes take that no body or pull meets.

    `waist_gap_mm` and `pressed_kpa` are of the waist as it settles at the pull planned.
    """
    findings: list[Finding] = []
    if "waist" not in body:
        return findings
    natural = body["waist"].girth_mm
    field = {"closed_waist": "closed_waist_mm", "reduction": "reduction_mm"}.get(target.job, "reduction_percent")
    if not aimed.reaches and waist_gap_mm is not None:
        needed, reached = aimed.needed_n_per_m, aimed.reduction_mm - aimed.spared_mm
        findings.append(
            finding(
                "more_than_a_pull",
                "pattern",
                "caution",
                at=f"target.{field}",
                where="Waist",
                numbers={
                    "gap_mm": waist_gap_mm,
                    "wished_mm": target.gap_mm,
                    "pull_n_per_m": aimed.pull_n_per_m,
                    **({"needed_n_per_m": needed} if needed is not None else {}),
                },
                mend=_reduce_to(reached / natural),
                said="more_than_a_pull" if needed is not None else "more_than_it_gives",
                word=target.pull,
            )
        )
    findings += _firm_waist(target, body, pressed_kpa, f"target.{field}", practice)
    findings += _reduction_cautions(target, aimed, new_to_lacing, natural, practice, f"target.{field}")
    if target.job != "none" and laced:
        wished = pull_of(target.pull, target.job, practice)
        word = pull_in_words(aimed.pull_n_per_m, practice)
        if word != target.pull:
            findings.append(
                finding(
                    "pull",
                    "pattern",
                    "advice",
                    at="target.pull",
                    numbers={"pull_n_per_m": aimed.pull_n_per_m, "wished_n_per_m": wished},
                    mend=mend("mend.lace_it", Change(at="target.pull", value=word), word=word),
                    word=target.pull,
                )
            )
    return findings


def _reduce_to(share: float) -> Mend | None:
    """A reduction by so much of the waist, to a tenth of a percent below; None where that is nothing."""
    percent = math.floor(1000 * share) / 10
    changes = (Change(at="target.job", value="reduction_share"), Change(at="target.reduction_percent", value=percent))
    return mend("mend.reduce_less", *changes, percent=percent) if percent > 0 else None


def comfortable_reduction(body: Body, practice: Practice) -> float:
    """The share by which her waist is reduced at the pressure that is planned at the most."""
    waist = body["waist"]
    limit = np.array([practice.plan_comfort_share * waist.comfort_kpa])
    used = float(used_at(limit, practice.pressure_scale_kpa * body.flesh_scale, body.stiffening)[0])
    return waist.give * min(used, practice.most_give_share)


def _firm_waist(target: Target, body: Body, pressed_kpa: float | None, at: str, practice: Practice) -> list[Finding]:
    """A waist that is asked for nearly all that is comfortable, or more, and what would leave something in hand."""
    waist = body["waist"]
    limit = practice.plan_comfort_share * waist.comfort_kpa
    if target.job == "none" or pressed_kpa is None or pressed_kpa <= limit * _FIRM_SHARE:
        return []
    return [
        finding(
            "waist_firm",
            "pattern",
            "caution" if pressed_kpa > waist.comfort_kpa else "advice",
            at=at,
            where="Waist",
            numbers={"pressure_kpa": pressed_kpa, "comfort_kpa": waist.comfort_kpa},
            mend=_reduce_to(comfortable_reduction(body, practice)),
            said="waist_firm.over" if pressed_kpa > waist.comfort_kpa else "waist_firm",
        )
    ]


def _reduction_cautions(
    target: Target, aimed: Aim, new_to_lacing: bool, natural: float, practice: Practice, at: str
) -> list[Finding]:
    share = max(aimed.reduction_share, aimed.asked_reduction_mm / natural if target.job != "none" else 0.0)
    if share <= (practice.caution_reduction_new if new_to_lacing else practice.caution_reduction) + 5e-4:
        return []
    strong = share > practice.caution_reduction_strong
    if strong:
        limit, who = practice.caution_reduction_strong, "anyone, by far"
    elif share > practice.caution_reduction:
        limit, who = practice.caution_reduction, "anyone"
    else:
        limit, who = practice.caution_reduction_new, "someone new to lacing"
    gentle = max(0.0, round((practice.caution_reduction_new if new_to_lacing else limit) * 100))
    changes = (
        Change(at="target.job", value="reduction_share"),
        Change(at="target.reduction_percent", value=gentle),
    )
    return [
        finding(
            "reduction",
            "pattern",
            "stop" if strong else "caution",
            at=at,
            where="Waist",
            numbers={"reduction_share": share, "limit_share": limit},
            mend=mend("mend.reduce_less", *changes, percent=gentle),
            reduction_mm=share * natural,
            who=who,
        )
    ]
