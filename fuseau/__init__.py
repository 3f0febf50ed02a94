"""Fuseau: the workshop of a maker of corsets and boned bodices. A Build goes in, a Plan comes out."""

__version__ = "0.1.0"
