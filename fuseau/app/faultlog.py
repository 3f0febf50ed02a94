"""The log of what should not happen: where it happened, under a number that the page shows. It holds no measures.

What is written of a fault is its kind and the places in the code, never its message nor any value: both may be
measures of somebody's body.
"""

import datetime
import logging
import secrets
import traceback
from logging.handlers import RotatingFileHandler
from pathlib import Path

_LARGEST = 500_000


class FaultLog:
    """Faults of one server, in `fuseau.log` beside its database; the last ones stay, old ones give way."""

    def __init__(self, path: Path | None) -> None:
        self._logger = logging.Logger("fuseau")
        if path is not None:
            path.parent.mkdir(parents=True, exist_ok=True)
            handler = RotatingFileHandler(path, maxBytes=_LARGEST, backupCount=2, encoding="utf-8", delay=True)
            handler.handleError = lambda record: None  # type: ignore[method-assign]  # a full disk stops no answer
            self._logger.addHandler(handler)

    def write(self, error: BaseException, during: str) -> str:
        """Write a fault down; the number under which it is found."""
        number = secrets.token_hex(3).upper()
        now = datetime.datetime.now().isoformat(timespec="seconds")
        lines = [f"{now} {number} during {during}"]
        here: BaseException | None = error
        while here is not None and len(lines) < 80:
            lines.append(f"  {type(here).__module__}.{type(here).__qualname__}")
            for frame in traceback.extract_tb(here.__traceback__)[-14:]:
                lines.append(f"    {frame.filename}:{frame.lineno} {frame.name}")
            here = here.__cause__ or here.__context__
        self._logger.error("\n".join(lines))
        return number
