"""Where the server listens and keeps its data; environment variables FUSEAU_* override."""

from pathlib import Path

from pydantic_settings import BaseSettings, SettingsConfigDict


class Settings(BaseSettings):
    """Settings of one server; `warm` starts its workers before they are asked.

    `room_port` is that of the second server, for other devices, while the room is open.
    """

    model_config = SettingsConfigDict(env_prefix="FUSEAU_")

    data: Path = Path("data")
    host: str = "127.0.0.1"
    port: int = 8321
    warm: bool = True
    room_port: int = 8322

    @property
    def database(self) -> Path:
        """The workshop's database file."""
        return self.data / "fuseau.db"
