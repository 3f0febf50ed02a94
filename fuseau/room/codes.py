"""Codes that let a device in: one at a time, of five minutes, used once.

After five wrong ones the door stays shut for whoever gave them, so that nobody in the network can shut it for her own
phone; and for all once so many were wrong that somebody must be guessing from many places.
"""

import hmac
import secrets
import threading
from dataclasses import dataclass

LIVES_S = 300.0
WRONG_ONES = 5
WRONG_IN_ALL = 50
SHUT_S = 600.0
_SIGNS = "23456789ABCDEFGHJKMNPQRSTUVWXYZ"  # none that looks like another
LENGTH = 8  # 31⁸ ≈ 8.5·10¹¹: fifty guesses find it once in 10¹⁰ times


class DoorShut(Exception):
    """Too many wrong codes: none is taken for so many seconds."""

    def __init__(self, seconds: float) -> None:
        super().__init__(f"shut for {seconds:.0f} s")
        self.seconds = seconds


@dataclass(frozen=True)
class Code:
    """A code, and until when it lets a device in (seconds of the clock that made it)."""

    text: str
    until: float


class Codes:
    """The one code that is good now. Times are seconds of a clock that only goes forward."""

    def __init__(self) -> None:
        self._now: Code | None = None
        self._wrong: dict[str, int] = {}
        self._shut_until: dict[str, float] = {}
        self._all_shut_until = 0.0
        self._lock = threading.Lock()

    def make(self, now: float) -> Code:
        """A new code; the one before is good no more.

        She who makes it sits at the laptop: the door is open to it, whatever was guessed from many places before; to an
        address that guessed it stays shut.
        """
        with self._lock:
            self._all_shut_until = 0.0
            self._now = Code("".join(secrets.choice(_SIGNS) for _ in range(LENGTH)), now + LIVES_S)
            return self._now

    def take(self, given: str, now: float, whose: str = "") -> bool:
        """Whether this is the code; it is used up then. `whose`: the address that it came from.

        Raises DoorShut, also at the wrong one that shuts it.
        """
        with self._lock:
            self._shut_until = {address: until for address, until in self._shut_until.items() if now < until}
            self._check_open(now, whose)
            code = self._now
            said = "".join(sign for sign in given.upper() if sign.isalnum())
            if code is not None and now < code.until and hmac.compare_digest(said.encode(), code.text.encode()):
                self._now = None
                self._wrong.clear()  # who was let in had it from the laptop
                return True
            self._wrong[whose] = self._wrong.get(whose, 0) + 1
            if sum(self._wrong.values()) >= WRONG_IN_ALL:
                self._now, self._wrong, self._all_shut_until = None, {}, now + SHUT_S
                raise DoorShut(SHUT_S)
            if self._wrong[whose] % WRONG_ONES == 0:
                self._shut_until[whose] = now + SHUT_S
                raise DoorShut(SHUT_S)
            return False

    def drop(self) -> None:
        """No code is good."""
        with self._lock:
            self._now = None

    def _check_open(self, now: float, whose: str) -> None:
        until = max(self._all_shut_until, self._shut_until.get(whose, 0.0))
        if now < until:
            raise DoorShut(until - now)
