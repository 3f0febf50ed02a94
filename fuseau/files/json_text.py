"""JSON from outside: how much it holds is counted before it is read, and what no file of ours can hold is refused."""

import json
import re
from typing import Any

from fuseau.files.unreadable import UnreadableFile

MOST_PARTS = 400_000
_DEEPEST = 60
_MOST_DIGITS = 60
_SURROGATE = re.compile(rb"\\u[dD][89abAB]|\\u[dD][c-fC-F]")
_BRACKETS = re.compile(rb'"(?:[^"\\]|\\.)*+"|[\[\]{}]', re.DOTALL)


def read_json(content: bytes, most_parts: int = MOST_PARTS) -> Any:
    """What a UTF-8 JSON text holds.

    Raises UnreadableFile: no text, broken, too many parts, nested too deeply, numbers that are none or endless, halves
    of characters.
    """
    if not content.strip():
        raise UnreadableFile("This file is empty.")
    parts = content.count(b",") + content.count(b"[") + content.count(b"{")
    if parts > most_parts:
        raise UnreadableFile(
            f"This file holds some {parts:,} values; {most_parts:,} are more than any build needs.".replace(",", " ")
        )
    try:
        text = content.decode("utf-8-sig")
    except UnicodeDecodeError:
        raise UnreadableFile("This is not a text file.") from None
    _check_depth(content)
    try:
        found = json.loads(text, parse_constant=_no_constant, parse_int=_whole, parse_float=_decimal)
    except json.JSONDecodeError as error:
        raise UnreadableFile(f"This file breaks off or is damaged at line {error.lineno}: {error.msg}.") from None
    except RecursionError:
        raise UnreadableFile("This file is nested too deeply.") from None
    if _SURROGATE.search(content):
        _check_characters(found)
    return found


def _check_depth(content: bytes) -> None:
    if content.count(b"[") + content.count(b"{") <= _DEEPEST:
        return
    depth = 0
    for found in _BRACKETS.finditer(content):
        sign = found[0]
        if sign in (b"[", b"{"):
            depth += 1
            if depth > _DEEPEST:
                raise UnreadableFile("This file is nested too deeply.")
        elif sign in (b"]", b"}"):
            depth -= 1


def _check_characters(found: Any) -> None:
    try:
        json.dumps(found, ensure_ascii=False).encode()
    except UnicodeEncodeError:
        raise UnreadableFile("This file holds half a character, which no text can have.") from None


def _no_constant(name: str) -> float:
    raise UnreadableFile(f"This file holds “{name}” where a number has to be.")


def _whole(digits: str) -> int:
    if len(digits) > _MOST_DIGITS:
        raise UnreadableFile(f"This file holds a number of {len(digits)} digits.")
    return int(digits)


def _decimal(digits: str) -> float:
    if len(digits) > 10 * _MOST_DIGITS:
        raise UnreadableFile(f"This file holds a number of {len(digits)} digits.")
    number = float(digits)
    if number in (float("inf"), float("-inf")):
        raise UnreadableFile(f"This file holds {digits[:20]}, which is beyond any number.")
    return number
