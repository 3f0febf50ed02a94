"""The papers that can be printed on."""

from typing import Literal

Paper = Literal["a4", "letter"]

SIZES_MM: dict[Paper, tuple[float, float]] = {"a4": (210.0, 297.0), "letter": (215.9, 279.4)}
