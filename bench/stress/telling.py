"""What the parts of the stress share: lines of the report, what must not be, hypothesis in batches, memory."""

import time
from collections.abc import Callable
from pathlib import Path

from hypothesis import HealthCheck, Phase, seed, settings

_BATCH = 50
_QUIET = {"deadline": None, "suppress_health_check": list(HealthCheck), "phases": [Phase.generate], "database": None}

failures: list[str] = []


def say(text: str) -> None:
    """One line of the report."""
    print(text, flush=True)


def fail(text: str) -> None:
    """Something that must not be."""
    failures.append(text)
    say(f"  FAILED: {text}")


def batches(most: int, end: float, run: Callable[..., None]) -> None:
    """A hypothesis test in batches with seeds of their own, until there were enough or the time is over."""
    bounded = settings(max_examples=_BATCH, **_QUIET)(run)
    for number in range(most // _BATCH):
        if time.monotonic() > end:
            return
        seed(number)(bounded)()


def memory_mb(pid: int) -> float:
    """What a process holds, MB."""
    status = Path(f"/proc/{pid}/status").read_text()
    return int(next(line for line in status.splitlines() if line.startswith("VmRSS")).split()[1]) / 1000
