"""Devices that were let in. Of each key only its hash is kept, in a file of its own: a backup carries no keys."""

import datetime
import hashlib
import os
import secrets
import threading
from pathlib import Path

from pydantic import BaseModel, ValidationError

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


class Devices:
    """The devices in a file; a file that can't be read lets nobody in."""

    def __init__(self, path: Path) -> None:
        self._path = path
        self._lock = threading.Lock()
        try:
            self._kept = {device.key_hash: device for device in _File.model_validate_json(path.read_bytes()).devices}
        except (OSError, ValidationError):
            self._kept = {}

    def let_in(self, name: str, now: datetime.datetime) -> tuple[Device, str]:
        """A device of this name, and its key, which is told only now. Raises TooMany."""
        key = secrets.token_urlsafe(32)
        with self._lock:
            if len(self._kept) >= MOST:
                raise TooMany
            named = " ".join(name.split())[:60] or "a device"
            one = _Kept(id=secrets.token_hex(6), name=named, let_in_at=now, seen_at=now, key_hash=_hash(key))
            self._kept[one.key_hash] = one
            self._write()
        return Device(**one.model_dump()), key

    def of(self, key: str, now: datetime.datetime) -> Device | None:
        """The device with this key, if it is still let in; that it was here is kept to the minute."""
        with self._lock:
            one = self._kept.get(_hash(key))
            if one is None:
                return None
            if now - one.let_in_at > datetime.timedelta(days=LASTS_DAYS):
                del self._kept[one.key_hash]
                self._write()
                return None
            if now - one.seen_at > datetime.timedelta(minutes=1):
                self._kept[one.key_hash] = one.model_copy(update={"seen_at": now})
                self._write()
            return Device(**one.model_dump())

    def put_out(self, device_id: str) -> bool:
        """Its key is good no more; whether there was such a device."""
        with self._lock:
            found = [key for key, one in self._kept.items() if one.id == device_id]
            for key in found:
                del self._kept[key]
            self._write()
            return bool(found)

    def listed(self) -> list[Device]:
        """All of them, the newest first."""
        with self._lock:
            found = sorted(self._kept.values(), key=lambda one: one.let_in_at, reverse=True)
        return [Device(**one.model_dump()) for one in found]

    def _write(self) -> None:
        self._path.parent.mkdir(parents=True, exist_ok=True)
        part = self._path.with_suffix(".part")
        with os.fdopen(os.open(part, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600), "w") as file:
            file.write(_File(devices=list(self._kept.values())).model_dump_json(indent=1))
        part.replace(self._path)


def _hash(key: str) -> str:
    return hashlib.sha256(key.encode()).hexdigest()
