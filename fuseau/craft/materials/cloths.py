"""Cloths: how thick, heavy and stiff they are, what they give, bear and need. The figures are usual ones: try yours."""

import math
from collections.abc import Mapping
from typing import Annotated, Literal

from pydantic import Field, model_validator

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount, Record, Text, at_field

ClothName = Annotated[str, Field(pattern=r"^[a-z][a-z0-9_]{0,39}$", description="A cloth in the catalogue.")]
Role = Literal["lining", "strength", "interlining", "fashion", "overlay"]
Grain = Literal["along", "across", "bias"]

ROLES: tuple[Role, ...] = "lining", "strength", "interlining", "fashion", "overlay"


class Cloth(Record):
    """A cloth as it is bought.

    `stiffness_kn_per_m` is K against the pull along its strong grain. Beyond that every cloth stretches by a share of
    its own when it is worn: `stretches_more` on average, with `stretches_spread` from cloth to cloth, log-normal, so
    never less than nothing (model, 6). `gives_*` is how far it gives under 10 N on a strip of 50 mm, in percent;
    `holds_n_per_m` what it carries for an evening, seams and all, without creeping; `bears_c` the heat of the iron that
    it bears, `fuses_c` that which a fusible needs. A repeat of 0 is none; `one_way`: nap, print or weave with a top.
    What `sheds` (pile, sequins, glitter) is cut apart from other work; what `breaks_needles` is sewn with care.
    """

    name: ClothName
    label: Annotated[str, Text(80, least=1)]
    suits: tuple[Role, ...] = Field(min_length=1, max_length=5)
    thickness_mm: Annotated[float, Length("the thickness of a cloth", 0.03, 8, hardware=True)]
    mass_g_m2: Annotated[float, Amount("a weight in grams by the square metre", 1, 3000)]
    stiffness_kn_per_m: Annotated[float, Amount("how stiff a cloth is, in kN by the metre,", 0.1, 500)] = 20.0
    stretches_more: Annotated[float, Amount("the share by which a cloth stretches as it is worn", 0.0005, 0.2)] = 0.02
    stretches_spread: Annotated[float, Amount("how far that is from cloth to cloth", 0.0005, 0.2)] = 0.015
    gives_along: Annotated[float, Amount("what a cloth gives along, in percent,", 0, 200)] = 1.0
    gives_across: Annotated[float, Amount("what a cloth gives across, in percent,", 0, 200)] = 2.0
    gives_bias: Annotated[float, Amount("what a cloth gives on the bias, in percent,", 0, 200)] = 8.0
    holds_n_per_m: Annotated[float, Amount("what a cloth carries, in newtons by the metre,", 1, 5000)] = 150.0
    bears_c: Annotated[float, Amount("the heat that a cloth bears, in °C,", 40, 260)] = 200.0
    fuses_c: Annotated[float, Amount("the heat that a fusible needs, in °C,", 80, 200)] | None = None
    frays: Annotated[int, Amount("how much a cloth frays, from 1 to 5,", 1, 5, whole=True)] = 2
    see_through: bool = False
    one_way: bool = False
    sheds: bool = False
    breaks_needles: bool = False
    repeat_along_mm: Annotated[float, Length("the repeat along a cloth", 0, 2000)] = 0.0
    repeat_across_mm: Annotated[float, Length("the repeat across a cloth", 0, 2000)] = 0.0
    width_mm: Annotated[float, Length("the width of a cloth", 50, 4000)] = 1400.0
    selvedge_mm: Annotated[float, Length("the selvedge of a cloth", 0, 60, hardware=True)] = 10.0
    price_per_m: Annotated[float, Amount("a price by the metre", 0, 2000)] = 0.0

    @model_validator(mode="after")
    def _leaves_a_width(self) -> "Cloth":
        if self.width_mm - 2 * self.selvedge_mm < 30:
            raise at_field("width_mm", "cloth.narrow", label=self.label)
        return self

    @property
    def log_stretch(self) -> tuple[float, float]:
        """Mean and spread of the log of the share by which it stretches more."""
        wide = math.log(1 + (self.stretches_spread / self.stretches_more) ** 2)
        return math.log(self.stretches_more) - wide / 2, math.sqrt(wide)

    @property
    def usually_more(self) -> float:
        """The share that half of such cloths stretch less than."""
        return math.exp(self.log_stretch[0])

    @property
    def usable_mm(self) -> float:
        """Its width without the selvedges, mm."""
        return self.width_mm - 2 * self.selvedge_mm

    def gives(self, grain: Grain) -> float:
        """The share by which it gives round the body when its grain runs so from waist to hem: across that."""
        return {"along": self.gives_across, "across": self.gives_along, "bias": self.gives_bias}[grain] / 100


# name, label, suits; mm, g/m²; K (kN/m), share it stretches more, its spread; gives along/across/bias %; carries N/m;
# bears °C; frays; width mm; price by the metre; and what else is so. Prices are round figures, not anybody's.
_TABLE = """
coutil       |coutil        |strength            |.55 290|100 .003 .003|.3 .4 3   |700|200|1|1400|24|
canvas       |canvas        |strength interlining|.6 320 |60 .008 .007 |.5 1 5    |550|200|2|1400|11|
drill        |cotton drill  |strength lining     |.5 260 |50 .009 .007 |.8 1.5 7  |450|200|2|1500|9 |
denim        |firm denim    |strength fashion    |.8 400 |55 .01 .008  |.8 1.5 6  |500|200|3|1500|12|
ticking      |ticking       |strength lining     |.4 220 |60 .006 .005 |.5 .8 5   |450|200|2|1400|10|0x12
calico       |calico        |strength interlining|.5 170 |30 .015 .012 |1 2 9     |220|200|3|1600|4 |
sheet        |bed sheet     |strength lining     |.3 130 |20 .03 .02   |1.5 2.5 11|140|200|2|2400|3 |
lawn         |cotton lawn   |lining              |.25 80 |15 .02 .015  |1 2 9     |110|200|2|1400|8 |
poplin       |cotton poplin |lining fashion      |.28 120|20 .02 .015  |1 1.5 8   |150|200|2|1480|7 |
silk_twill   |silk twill    |lining              |.18 60 |10 .02 .015  |1 2 12    |80 |150|4|1380|32|
fusible_light|light fusible |interlining         |.15 40 |5 .02 .015   |1 2 5     |40 |160|1|900 |4 |fuses-130
fusible_woven|woven fusible |interlining         |.25 75 |15 .015 .01  |.8 1 4    |90 |170|2|900 |7 |fuses-150
organza_silk |silk organza  |interlining overlay |.12 35 |12 .02 .015  |.8 1 9    |90 |150|4|1100|18|sheer
foam         |padding foam  |interlining         |6 170  |.3 .1 .05   |10 10 15 |20 |110|1|1500|9 |
flannel      |brushed cotton|interlining         |.7 170 |10 .03 .02   |1 3 9     |120|200|2|1450|9 |one-way
sateen       |cotton sateen |fashion lining      |.35 150|20 .02 .015  |1 2 8     |200|200|2|1400|12|one-way
duchess      |duchess satin |fashion             |.45 210|30 .015 .01  |.6 1 6    |180|150|4|1480|19|one-way
dupion       |silk dupion   |fashion             |.3 110 |20 .02 .015  |.8 1 7    |90 |150|5|1370|28|
taffeta      |taffeta       |fashion             |.22 100|25 .015 .01  |.6 .8 6   |120|150|4|1480|11|
brocade      |brocade       |fashion             |.6 240 |25 .02 .015  |.8 1.2 6  |180|150|5|1400|26|one-way 160x120
velvet       |cotton velvet |fashion             |1.2 320|20 .02 .015  |1 2 9     |180|110|4|1400|22|one-way
wool         |wool suiting  |fashion             |.6 260 |15 .03 .02   |1.5 3 12  |160|150|2|1500|30|
coated       |coated cloth  |fashion             |.8 380 |20 .02 .015  |2 8 10    |250|100|1|1380|15|
linen        |linen         |fashion lining      |.4 180 |35 .015 .01  |.8 1.2 9  |250|200|3|1450|16|
lace         |corded lace   |overlay             |.5 110 |3 .03 .02    |3 4 10    |40 |110|1|1300|24|sheer 220x180
stretch_lace |stretch lace  |overlay             |.5 120 |.5 .1 .05    |20 45 40  |20 |110|1|1500|14|sheer 150x150
organza      |organza       |overlay             |.1 40  |15 .02 .015  |.8 1 8    |50 |130|4|1500|6 |sheer
net          |net           |overlay             |.3 30  |2 .05 .03    |6 15 15   |20 |110|1|1500|5 |sheer
power_mesh   |power mesh    |overlay lining      |.4 130 |.3 .1 .05    |40 60 50  |40 |120|1|1500|13|sheer
sequins      |sequined net  |overlay fashion     |1.3 420|2 .05 .03    |3 6 10    |30 |80 |1|1300|34|one-way
"""


def _read(line: str) -> Cloth:
    name, label, suits, size, stiff, gives, holds, bears, frays, width, price, more = map(str.strip, line.split("|"))
    thickness, mass = size.split()
    stiffness, stretches, spread = stiff.split()
    along, across, bias = gives.split()
    flags = more.split()
    repeat = next((flag.split("x") for flag in flags if flag[0].isdigit()), ("0", "0"))
    return Cloth.model_validate(
        {
            "name": name,
            "label": label,
            "suits": tuple(suits.split()),
            "thickness_mm": float(thickness),
            "mass_g_m2": mass,
            "stiffness_kn_per_m": stiffness,
            "stretches_more": stretches,
            "stretches_spread": spread,
            "gives_along": along,
            "gives_across": across,
            "gives_bias": bias,
            "holds_n_per_m": holds,
            "bears_c": bears,
            "frays": frays,
            "width_mm": float(width),
            "price_per_m": price,
            "fuses_c": next((flag.removeprefix("fuses-") for flag in flags if flag.startswith("fuses-")), None),
            "see_through": "sheer" in flags,
            "one_way": "one-way" in flags,
            "repeat_along_mm": float(repeat[0]),
            "repeat_across_mm": float(repeat[1]),
        }
    )


CLOTHS: Mapping[ClothName, Cloth] = {
    cloth.name: cloth for cloth in map(_read, filter(None, map(str.strip, _TABLE.splitlines())))
}
