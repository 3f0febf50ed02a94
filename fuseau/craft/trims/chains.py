"""Chains, cords and garlands between two points: the length of a sag, and the sag of a length (model, section 15)."""

import math
from collections.abc import Callable

_ROUNDS = 200


def _length(a: float, span: float, lower: float) -> float:
    """The length of a catenary of parameter a between two points: √(h² + (2a·sinh(s/2a))²)."""
    return math.sqrt(lower**2 + (2 * a * math.sinh(span / (2 * a))) ** 2)


def _sag(a: float, span: float, lower: float) -> float:
    """How far it lies below the straight line between both ends, at its most."""
    # y = a·cosh((x − x0)/a): the chord's slope is met where sinh((x − x0)/a) = h/s
    k = lower / span
    x0 = span / 2 + a * math.asinh(lower / (2 * a * math.sinh(span / (2 * a))))
    x = x0 + a * math.asinh(-k)

    def y(at: float) -> float:
        return a * math.cosh((at - x0) / a)

    chord = y(0.0) + (y(span) - y(0.0)) * x / span
    return chord - y(x)


def chain_length(span_mm: float, sag_mm: float, lower_mm: float = 0.0) -> float:
    """The length of a chain that hangs so far below the straight line between its ends (catenary, by bisection).

    >>> round(chain_length(200, 40), 1), chain_length(200, 0)
    (219.9, 200.0)
    """
    straight = math.hypot(span_mm, lower_mm)
    if sag_mm <= 1e-9:
        return straight
    a = _parameter(span_mm, lambda a: _sag(a, span_mm, lower_mm) > sag_mm)
    return _length(a, span_mm, lower_mm)


def chain_sag(span_mm: float, length_mm: float, lower_mm: float = 0.0) -> float:
    """How far a chain of a length hangs below the line between its ends. Raises ValueError where it is too short.

    >>> round(chain_sag(200, chain_length(200, 40)), 3)
    40.0
    """
    straight = math.hypot(span_mm, lower_mm)
    if length_mm < straight - 1e-9:
        raise ValueError("shorter than its span")
    if length_mm <= straight * (1 + 1e-9):
        return 0.0
    a = _parameter(span_mm, lambda a: _length(a, span_mm, lower_mm) > length_mm)
    return _sag(a, span_mm, lower_mm)


def _parameter(span_mm: float, hangs_too_far: Callable[[float], bool]) -> float:
    """The parameter at which a chain hangs just so far: the smaller it is, the further. By bisection of its log."""
    low, high = math.log(span_mm / 1000), math.log(span_mm * 1e5)
    for _ in range(_ROUNDS):
        middle = (low + high) / 2
        low, high = (middle, high) if hangs_too_far(math.exp(middle)) else (low, middle)
    return math.exp(high)
