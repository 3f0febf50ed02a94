"""Devices that were let in. Of each key only its hash is kept, in a file of its own: a backup carries no keys."""

import datetime
import hashlib
import secrets
import threading
from contextlib import suppress
from pathlib import Path

from pydantic import BaseModel, ValidationError

from fuseau.room.private import write_private

MOST = 20
LASTS_DAYS = 90


class Device(BaseModel):
    """A device: how it is called, when it was let in, and when it was last here."""

    id: str
    name: str
    let_in_at: datetime.datetime
    seen_at: datetime.datetime


class _Kept(Device):
    key_hash: str


class _File(BaseModel):
    devices: list[_Kept] = []


class TooMany(Exception):
    """As many devices are let in as there may be."""


class PutOutForNow(OSError):
    """A device is out, but the disk did not take that: after a restart it would be let in again."""


class Devices:
    """The devices in a file; a file that can't be read lets nobody in."""

    def __init__(self, path: Path) -> None:
        self._path = path
        self._lock = threading.Lock()
        self._unkept = False  # whether somebody who is out is let in by the file still
        try:
            self._kept = {device.key_hash: device for device in _File.model_validate_json(path.read_bytes()).devices}
        except (OSError, ValidationError):
            self._kept = {}

    def let_in(self, name: str, now: datetime.datetime) -> tuple[Device, str]:
        """A device of this name, and its key, which is told only now.

        Raises TooMany, or OSError where the disk does not take it; nobody is let in then.
        """
        key = secrets.token_urlsafe(32)
        with self._lock:
            if len(self._kept) >= MOST:
                raise TooMany
            named = " ".join(name.split())[:60] or "a device"
            one = _Kept(id=secrets.token_hex(6), name=named, let_in_at=now, seen_at=now, key_hash=_hash(key))
            self._kept[one.key_hash] = one
            try:
                self._write()
            except OSError:
                del self._kept[one.key_hash]
                raise
        return Device(**one.model_dump()), key

    def of(self, key: str, now: datetime.datetime) -> Device | None:
        """The device with this key, if it is still let in.

        That it was here is kept to the minute, where the disk takes it: nobody is turned away since it is full.
        """
        with self._lock:
            one = self._kept.get(_hash(key))
            if one is None:
                return None
            if now - one.let_in_at > datetime.timedelta(days=LASTS_DAYS):
                del self._kept[one.key_hash]
                with suppress(OSError):
                    self._write()
                return None
            if now - one.seen_at > datetime.timedelta(minutes=1):
                self._kept[one.key_hash] = one.model_copy(update={"seen_at": now})
                with suppress(OSError):
                    self._write()
            return Device(**one.model_dump())

    def put_out(self, device_id: str) -> bool:
        """Its key is good no more, now and after a restart; whether there was such a device.

        Where the disk is full the file is taken away, which needs no room: after a restart all have to come in anew.
        Raises PutOutForNow where not even that can be done.
        """
        with self._lock:
            keys = [key for key, one in self._kept.items() if one.id == device_id]
            for key in keys:
                del self._kept[key]
            try:
                self._write()
            except OSError:
                try:
                    self._path.unlink(missing_ok=True)
                except OSError as error:
                    self._unkept = True
                    raise PutOutForNow(error.errno, error.strerror) from error
            return bool(keys)

    def listed(self) -> list[Device]:
        """All of them, the newest first. What the disk did not take before is tried once more."""
        with self._lock:
            if self._unkept:
                with suppress(OSError):
                    self._write()
            found = sorted(self._kept.values(), key=lambda one: one.let_in_at, reverse=True)
        return [Device(**one.model_dump()) for one in found]

    def _write(self) -> None:
        write_private(self._path, _File(devices=list(self._kept.values())).model_dump_json(indent=1).encode())
        self._unkept = False


def _hash(key: str) -> str:
    return hashlib.sha256(key.encode()).hexdigest()
