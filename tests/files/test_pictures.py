"""Pictures: what is kept of them, and what is refused."""

import hashlib
import io

import pytest
from PIL import Image

from fuseau.document.build import VERSION, Brief, Build, Picture
from fuseau.files.document import read_document, write_document
from fuseau.files.intake import take_in
from fuseau.files.pictures import decode_picture
from fuseau.files.unreadable import UnreadableFile


def picture(kind="JPEG", size=(2000, 1000), mode="RGB", **more):
    target = io.BytesIO()
    Image.new(mode, size, 120).save(target, kind, **more)
    return target.getvalue()


def test_a_photo_is_made_smaller_turned_upright_and_stripped():
    exif = Image.Exif()
    exif[0x0112] = 6  # lies on its side
    exif[0x010F] = "a camera"
    kept = decode_picture(picture(exif=exif), "photo.jpg")
    assert (kept.width_px, kept.height_px) == (800, 1600)
    assert kept.media == "image/jpeg"
    assert hashlib.sha256(kept.content).hexdigest() == kept.id
    assert not Image.open(io.BytesIO(kept.content)).getexif()


def test_see_through_pictures_stay_so():
    kept = decode_picture(picture("PNG", (300, 200), "RGBA"), "sketch.png")
    assert kept.media == "image/png"
    assert Image.open(io.BytesIO(kept.content)).mode == "RGBA"
    assert decode_picture(picture("WEBP", (300, 200)), "a.webp").width_px == 300


@pytest.mark.parametrize(
    ("content", "name", "says"),
    [
        (b"", "a.png", "empty"),
        (b"GIF89a" + b"0" * 50, "a.gif", "no picture that can be read"),
        (b"plain text", "a.png", "no picture that can be read"),
        (picture("PNG"), "a.jpg", "ends in .jpg but is a PNG"),
        (picture()[:900], "a.jpg", "damaged"),
        (b"0" * 20_000_001, "a.jpg", "20 MB at the most"),
        (picture("PNG", (9000, 9000), "1"), "a.png", "too many to work on"),
    ],
)
def test_what_is_no_usable_picture_is_told_in_one_sentence(content, name, says):
    with pytest.raises(UnreadableFile, match=says):
        decode_picture(content, name)


def test_pictures_travel_with_the_build_and_come_back():
    kept = decode_picture(picture(), "photo.jpg")
    one = Picture(id=kept.id, width_px=kept.width_px, height_px=kept.height_px)
    build = Build(brief=Brief(name="Tidewarden", pictures=(one,)))
    content = write_document(build, {kept.id: kept.content})
    assert read_document(content) == build
    taken = take_in(content)
    (again,) = taken.pictures
    (named,) = taken.build.brief.pictures
    assert (named.id, named.width_px, named.height_px) == (again.id, kept.width_px, kept.height_px)
    assert take_in(content, {kept.id}).pictures == (), "it is here already"
    assert take_in(content, {kept.id}).build == build
    spoilt = take_in(write_document(build, {kept.id: kept.content + b"x"}))
    assert (spoilt.pictures, spoilt.left_out) == ((), ("a picture without a name",))


def test_a_picture_in_a_file_is_decoded_like_any_other_and_what_hid_in_it_stays_behind():
    hidden = io.BytesIO()
    exif = Image.Exif()
    exif[0x0112], exif[0x010F] = 6, "a camera"
    Image.new("RGB", (400, 200), 90).save(hidden, "JPEG", exif=exif, comment=b"her address", icc_profile=b"profile")
    content = hidden.getvalue() + b"<script>after the picture</script>"
    name = hashlib.sha256(content).hexdigest()
    one = Picture(id=name, name="Front", width_px=4000, height_px=1)
    build = Build(brief=Brief(pictures=(one,), chosen_sketch=name))
    taken = take_in(write_document(build, {name: content}))
    (kept,) = taken.pictures
    assert (kept.width_px, kept.height_px) == (200, 400), "turned upright, and as large as it is"
    for secret in (b"her address", b"profile", b"<script>", b"a camera", b"Exif"):
        assert secret not in kept.content
    assert taken.build.brief.chosen_sketch == kept.id
    assert (taken.build.brief.pictures[0].width_px, taken.build.brief.pictures[0].height_px) == (200, 400)


def test_a_file_of_the_first_version_is_brought_up():
    old = Build().model_dump(mode="json")
    old["version"] = 1
    old["wearer"]["ribs"] = {"readings_mm": [740], "waist_to_side_mm": 52}
    old["brief"] = {"name": "Older"}
    import json

    build = read_document(json.dumps(old).encode())
    assert build.version == VERSION
    assert build.wearer.ribs.height_side_mm == 52
