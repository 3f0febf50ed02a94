"""Fuseau: the workshop of a maker of corsets and boned bodices. A Build goes in, a Plan comes out."""

__version__ = "0.1.0"

import os

# The matrices here are small: handing them to several threads takes longer than working them out, and worker processes
# would take the processor from each other. It counts only if it is set before NumPy is loaded.
os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")
