"""Pictures that come in: decoded, turned upright, made small enough, without what the camera wrote into them."""

import hashlib
import io
import warnings
from dataclasses import dataclass

from fuseau.files.unreadable import UnreadableFile

LARGEST_BYTES = 20_000_000
_LONGEST_PX = 1600
_MOST_PIXELS = 60_000_000
_KINDS = {"JPEG": ("jpg", "jpeg"), "PNG": ("png",), "WEBP": ("webp",)}


@dataclass(frozen=True)
class DecodedPicture:
    """A picture ready to be kept: the hash of its bytes, media type, size in pixels, bytes."""

    id: str
    media: str
    width_px: int
    height_px: int
    content: bytes


def decode_picture(content: bytes, name: str = "") -> DecodedPicture:
    """A JPEG, PNG or WebP as it will be kept: at most 1600 px long, metadata stripped.

    Raises UnreadableFile with one plain sentence: no picture, too large, an ending that lies, damaged.
    """
    from PIL import Image, ImageOps, UnidentifiedImageError

    if not content:
        raise UnreadableFile("This file is empty.")
    if len(content) > LARGEST_BYTES:
        size = len(content) / 1e6
        raise UnreadableFile(f"This picture has {size:.0f} MB; {LARGEST_BYTES / 1e6:.0f} MB at the most.")
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", Image.DecompressionBombWarning)
            opened = Image.open(io.BytesIO(content), formats=list(_KINDS))
            if opened.width * opened.height > _MOST_PIXELS:
                raise UnreadableFile(f"This picture has {opened.width} × {opened.height} pixels: too many to work on.")
            kind = str(opened.format)
            opened.draft(
                "RGB", (2 * _LONGEST_PX, 2 * _LONGEST_PX)
            )  # a JPEG need not be unpacked whole to be made smaller
            picture = ImageOps.exif_transpose(opened)
            picture.load()
    except UnreadableFile:
        raise
    except UnidentifiedImageError:
        raise UnreadableFile("This is no picture that can be read: use JPEG, PNG or WebP.") from None
    except (Image.DecompressionBombError, Image.DecompressionBombWarning):
        raise UnreadableFile("This picture unpacks to far more pixels than a photo has.") from None
    except MemoryError:
        raise UnreadableFile("This picture needs more memory than any photo does.") from None
    except Exception:  # a decoder raises whatever comes to it
        raise UnreadableFile("This picture is damaged: it breaks off.") from None
    ending = name.rsplit(".", 1)[-1].lower() if "." in name else ""
    if ending in {ending for endings in _KINDS.values() for ending in endings} and ending not in _KINDS[kind]:
        raise UnreadableFile(f"This file ends in .{ending} but is a {kind} picture: give it its right ending.")
    picture.thumbnail((_LONGEST_PX, _LONGEST_PX))
    clear = picture.mode in ("RGBA", "LA", "PA") or "transparency" in picture.info
    bare = picture.convert("RGBA" if clear else "RGB")
    bare.info = {}  # comments, profiles and all that a camera or an editor wrote
    target = io.BytesIO()
    if clear:
        bare.save(target, "PNG", optimize=True)
    else:
        bare.save(target, "JPEG", quality=86, optimize=True)
    kept = target.getvalue()
    return DecodedPicture(
        id=hashlib.sha256(kept).hexdigest(),
        media="image/png" if clear else "image/jpeg",
        width_px=picture.width,
        height_px=picture.height,
        content=kept,
    )
