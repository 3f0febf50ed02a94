"""Files to save: under a name that every system takes, and under one in her own script."""

import re
import unicodedata
from urllib.parse import quote

from fastapi.responses import Response

from fuseau.document.build import Build

_WORDS = re.compile("[A-Za-z0-9]+")
_NAME_BYTES = 180  # of the 255 that most systems take


def file_answer(content: bytes, media_type: str, build: Build, ending: str) -> Response:
    """A file to save, named after the build."""
    return named_file(content, media_type, build.brief.name, ending)


def named_file(content: bytes, media_type: str, name: str, ending: str) -> Response:
    """A file to save under a name in her own script, and under one that every system takes (RFC 6266, RFC 5987)."""
    spelt = unicodedata.normalize("NFKD", name)
    plain = "-".join(_WORDS.findall("".join(sign for sign in spelt if sign.isascii()))) or "build"
    own = "-".join(_words(name)) or plain
    said = f'attachment; filename="{plain}{ending}"'
    if own != plain:
        said += f"; filename*=UTF-8''{quote(own + ending, safe='')}"
    return Response(content, media_type=media_type, headers={"content-disposition": said})


def _words(name: str) -> list[str]:
    """What stands in a file's name of a text: letters with their marks, and figures, as many as a system takes."""
    kept = "".join(
        sign if unicodedata.category(sign)[0] in "LMN" else " " for sign in unicodedata.normalize("NFC", name)
    )
    while len(kept.encode()) > _NAME_BYTES:
        kept = kept[:-1]
    return kept.split()
