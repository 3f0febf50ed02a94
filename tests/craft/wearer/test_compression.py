"""How flesh gives: pressure and tension with their derivatives, near and past what it gives (model, section 2)."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.craft.wearer.compression import girth_under, pressure_at, tension_at, tension_by_flesh

bodies = st.tuples(
    st.floats(500, 1300),  # natural girth, mm
    st.floats(0.01, 0.3),  # give
    st.floats(-0.5, 1.4),  # how much of it is used
    st.floats(0.5, 5.0),  # pressure scale, kPa
    st.floats(-1.3, 1.3),  # stiffening
)


def arrays(*values):
    return [np.array([value]) for value in values]


def apart(natural, give, used):
    """A hoop that uses so much of what a level gives; not at the corners, where slopes jump."""
    used = 0.01 if abs(used) < 0.01 else 0.99 if 0.985 < used < 1.005 else used
    return natural * (1 - give * used)


@given(bodies)
def test_a_hoop_that_is_slack_presses_nothing_and_a_tighter_one_more(body):
    natural, give, used, scale, stiffening = body
    looser, tighter = (natural * (1 - give * one) for one in (used, used + 0.1))
    (loose,), (tight,) = (pressure_at(*arrays(natural, give, hoop), scale, stiffening)[0] for hoop in (looser, tighter))
    if used <= 0:
        assert loose == 0
        assert not np.signbit(loose)
    assert 0 <= loose <= tight
    if used > 0.02:
        assert tight > loose


@given(bodies)
def test_slopes_are_those_of_a_small_step(body):
    natural, give, used, scale, stiffening = body
    hoop = apart(natural, give, used)
    tension, by_hoop, by_natural = (one[0] for one in tension_at(*arrays(natural, give, hoop), scale, stiffening))
    by_give, by_stiffening = (
        one[0] for one in tension_by_flesh(*arrays(natural, give, hoop), stiffening, *arrays(tension, by_hoop))
    )

    def at(**other):
        now = {"natural": natural, "give": give, "hoop": hoop, "stiffening": stiffening} | other
        return tension_at(*arrays(now["natural"], now["give"], now["hoop"]), scale, now["stiffening"])[0][0]

    step = 1e-4 * natural * give
    size = max(1.0, abs(tension))
    for found, name, value, by in (
        (by_hoop, "hoop", hoop, step),
        (by_natural, "natural", natural, step),
        (by_give, "give", give, 1e-6),
        (by_stiffening, "stiffening", stiffening, 1e-5),
    ):
        small = (at(**{name: value + by}) - at(**{name: value - by})) / (2 * by)
        assert found * by == pytest.approx(small * by, abs=2e-5 * size), name


@given(st.lists(bodies, min_size=2, max_size=5))
def test_many_bodies_at_once_are_each_as_by_itself(bodies_):
    natural, give, used, scale, stiffening = (np.array(one)[:, None] for one in zip(*bodies_, strict=True))
    hoop = natural * (1 - give * used)
    together = tension_at(natural, give, hoop, scale, stiffening)
    for k, (one_natural, one_give, one_used, one_scale, one_stiffening) in enumerate(bodies_):
        alone = tension_at(
            *arrays(one_natural, one_give, one_natural * (1 - one_give * one_used)), one_scale, one_stiffening
        )
        for many, one in zip(together, alone, strict=True):
            assert many[k] == pytest.approx(one, rel=1e-9, abs=1e-12)


@given(st.floats(500, 1300), st.floats(0.01, 0.3), st.floats(1, 600), st.floats(0.5, 5), st.floats(-1.3, 1.3))
def test_the_girth_under_a_tension_is_where_flesh_bears_it(natural, give, tension, scale, stiffening):
    (girth,) = girth_under(*arrays(natural, give, tension), scale, stiffening)
    borne = tension_at(*arrays(natural, give, girth), scale, stiffening)[0][0]
    assert girth <= natural
    if girth > 0.21 * natural:
        assert borne == pytest.approx(tension, rel=0.01, abs=0.5)
