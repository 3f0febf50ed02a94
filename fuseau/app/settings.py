"""Where the server listens and keeps its data; environment variables FUSEAU_* override."""

from pathlib import Path

from pydantic import Field
from pydantic_settings import BaseSettings, SettingsConfigDict


class Settings(BaseSettings):
    """Settings of one server; `warm` starts its workers before they are asked.

    `room_port` is that of the second server, for other devices, while the room is open; 0 is the next one after `port`.
    `demo`: it is the demo workshop. `give_way`: by so much what takes long is nicer than the server.
    """

    model_config = SettingsConfigDict(env_prefix="FUSEAU_")

    data: Path = Path("data")
    host: str = "127.0.0.1"
    port: int = 8321
    warm: bool = True
    room_port: int = 0
    demo: bool = False
    give_way: int = Field(default=15, ge=0, le=19)

    @property
    def room_at(self) -> int:
        """The port for other devices."""
        return self.room_port or (self.port + 1 if self.port < 65535 else self.port - 1)

    @property
    def database(self) -> Path:
        """The workshop's database file."""
        return self.data / "fuseau.db"
