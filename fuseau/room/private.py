"""Files that only the maker may read, written as a whole or not at all."""

import os
from pathlib import Path


def write_private(path: Path, content: bytes) -> None:
    """Write a file that nobody else may read; who is killed meanwhile leaves the old one. Raises OSError."""
    path.parent.mkdir(parents=True, exist_ok=True, mode=0o700)
    part = path.with_name(f"{path.name}.part")
    try:
        with os.fdopen(os.open(part, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600), "wb") as file:
            file.write(content)
            file.flush()
            os.fsync(file.fileno())
        part.replace(path)
    finally:
        part.unlink(missing_ok=True)
