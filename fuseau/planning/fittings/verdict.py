"""One verdict on a build's mock-ups, from the odds, the last fitting and what was decided (model, section 6).

The thread, the stage, the story, the list and the sheet all say this one.
"""

from typing import Literal, cast

from fuseau.craft.base.findings import Finding, Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.fitting.ambiguity import Ambiguity
from fuseau.craft.fitting.readiness import Readiness
from fuseau.craft.wearer.measures import LevelName
from fuseau.document.build import Build
from fuseau.planning.fittings.evidence import fittings_of_current

Word = Literal[
    "alter it",
    "wear it",
    "first mock-up",
    "try it on",
    "measure first",
    "one more mock-up",
    "look again",
    "cut the cloth",
]


SETTLED_FIRST = ("waist_sat", "digs_at_place")  # findings that nobody cuts the cloth beside, until one of their mends


class Verdict(Record):
    """What is to be done with the pattern, of which version, and why. `level` is the one that fails most."""

    word: Word
    version: int
    probability: float | None = None
    level: LevelName | None = None
    sentence: Message


def verdict(
    build: Build,
    odds: Readiness | None,
    proposed: bool,
    unsure: Ambiguity | None = None,
    apart: LevelName | None = None,
    first: Finding | None = None,
) -> Verdict:
    """The verdict. `odds` are those of the version proposed, else of the present one; None before any fitting.

    `unsure` is what the last fitting cannot tell apart: a measurement of minutes comes before another mock-up. `apart`
    is where it sat otherwise than all that is known explains; `first` is what was said of where it sat or dug that
    nothing mends yet: no cloth is cut before it is settled.
    """
    current = build.current
    if current is None:
        return Verdict(word="first mock-up", version=1, sentence=message("verdict.first"))
    following = current.number + 1 if proposed else current.number
    if odds is None:
        code = "verdict.try_on" if build.back.laced else "verdict.try_on.shut"
        return Verdict(word="try it on", version=current.number, sentence=message(code, version=following))
    given: dict[str, float | str] = {"version": following, "probability": odds.probability}
    word: Word = odds.advice
    here = fittings_of_current(build)
    if here and here[-1].finished:
        word = "alter it" if proposed else "wear it"
        code = "verdict.alter" if proposed else "verdict.wear"
        return Verdict(
            word=word,
            version=following,
            probability=odds.probability,
            level=odds.worst_level,
            sentence=message(code, probability=odds.probability),
        )
    if apart is not None and here:
        word, code, given = "look again", "verdict.word_apart", {"level": apart}
    elif word == "cut the cloth" and first is not None:
        apart = "waist" if first.code == "waist_sat" else cast(LevelName, first.sentence.given["level"])
        word, code, given = "look again", f"verdict.{first.code}", {"level": apart}
    elif word == "cut the cloth":
        code = "verdict.make_and_cut" if proposed else "verdict.cut"
    elif unsure is not None and here:
        word, code = "measure first", "verdict.measure"
        given = {"tells": unsure.cheapest}
    elif not proposed and not here:
        word, code = "try it on", "verdict.try_on_odds"
    elif word == "look again":
        code = "verdict.look_again" if odds.worst_level else "verdict.look_again_all"
        given |= {"level": odds.worst_level} if odds.worst_level else {}
    else:
        code = "verdict.one_more_proposed" if proposed else "verdict.one_more"
    return Verdict(
        word=word,
        version=following,
        probability=odds.probability,
        level=apart or odds.worst_level,
        sentence=message(code, **given),
    )
