"""Codes, devices and the certificate of the room, without a server."""

import dataclasses
import datetime
import errno
import ssl
import stat

import pytest
from cryptography import x509
from hypothesis import given
from hypothesis import strategies as st

from fuseau.room.addresses import own_addresses
from fuseau.room.certificate import certificate_for
from fuseau.room.codes import LIVES_S, SHUT_S, WRONG_IN_ALL, WRONG_ONES, Codes, DoorShut
from fuseau.room.devices import LASTS_DAYS, MOST, Devices, PutOutForNow, TooMany

NOW = datetime.datetime(2026, 11, 27, 12, tzinfo=datetime.UTC)


def test_a_code_lets_in_once_and_only_for_five_minutes():
    codes = Codes()
    code = codes.make(100.0)
    assert not codes.take("ABCDEFGH", 101.0)
    assert codes.take(f" {code.text[:4].lower()}-{code.text[4:].lower()} ", 100.0 + LIVES_S - 1)  # however it is typed
    assert not codes.take(code.text, 102.0)  # used up
    late = codes.make(1000.0)
    assert not codes.take(late.text, 1000.0 + LIVES_S)
    first, second = codes.make(2000.0), codes.make(2001.0)
    assert not codes.take(first.text, 2002.0)  # the newer one took its place
    assert codes.take(second.text, 2003.0)


def guessed(codes, at, whose):
    for _ in range(WRONG_ONES - 1):
        assert not codes.take("WRONG", at, whose)
    with pytest.raises(DoorShut) as shut:
        codes.take("WRONG", at, whose)
    assert shut.value.seconds == SHUT_S


def test_five_wrong_codes_shut_the_door_for_a_while_to_whoever_gave_them_also_for_the_right_one():
    codes = Codes()
    code = codes.make(0.0)
    guessed(codes, 1.0, "guesser")
    with pytest.raises(DoorShut):
        codes.take(code.text, 2.0, "guesser")
    with pytest.raises(DoorShut):
        codes.take(codes.make(SHUT_S).text, SHUT_S, "guesser")  # a new code does not open it to them
    assert codes.take(codes.make(SHUT_S).text, SHUT_S, "her phone")
    assert codes.take(codes.make(SHUT_S + 2).text, SHUT_S + 3, "guesser")


def test_guesses_from_many_places_shut_it_to_all():
    codes = Codes()
    code = codes.make(0.0)
    for place in range(WRONG_IN_ALL // WRONG_ONES - 1):
        guessed(codes, 1.0, f"place {place}")
    for _ in range(WRONG_ONES - 1):
        assert not codes.take("WRONG", 2.0, "the last")
    with pytest.raises(DoorShut):
        codes.take("WRONG", 2.0, "the last")
    with pytest.raises(DoorShut):
        codes.take(code.text, 3.0, "her phone")
    anew = codes.make(4.0)  # whoever sits at the laptop can always let somebody in
    with pytest.raises(DoorShut):
        codes.take(anew.text, 5.0, "place 0")
    assert codes.take(anew.text, 5.0, "her phone")


@given(st.text(max_size=40))
def test_nothing_else_is_the_code(said):
    codes = Codes()
    code = codes.make(0.0)
    same = "".join(sign for sign in said.upper() if sign.isalnum()) == code.text
    assert codes.take(said, 1.0) == same


def test_only_the_hash_of_a_key_is_kept_and_who_is_put_out_is_out(tmp_path):
    path = tmp_path / "room" / "devices.json"
    devices = Devices(path)
    phone, key = devices.let_in("  the   phone ", NOW)
    tablet, other = devices.let_in("", NOW + datetime.timedelta(seconds=1))
    assert (phone.name, tablet.name) == ("the phone", "a device")
    assert key not in path.read_text()
    assert stat.S_IMODE(path.stat().st_mode) == 0o600
    again = Devices(path)  # it is let in until she says otherwise
    assert again.of(key, NOW).id == phone.id
    assert again.of(key + "x", NOW) is None
    assert [one.name for one in again.listed()] == ["a device", "the phone"]
    assert again.put_out(phone.id)
    assert not again.put_out(phone.id)
    assert again.of(key, NOW) is None
    assert again.of(other, NOW + datetime.timedelta(days=LASTS_DAYS + 1)) is None
    path.write_text("{ damaged")
    assert Devices(path).listed() == []  # and nobody comes in


def test_there_is_an_end_to_how_many_are_let_in(tmp_path):
    devices = Devices(tmp_path / "devices.json")
    for i in range(MOST):
        devices.let_in(f"device {i}", NOW)
    with pytest.raises(TooMany):
        devices.let_in("one more", NOW)


def test_the_certificate_names_the_addresses_and_is_made_anew_when_they_change_or_it_ends(tmp_path):
    first = certificate_for(tmp_path, ("192.168.1.20",), NOW)
    read = x509.load_pem_x509_certificate(first.path.read_bytes())
    names = read.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    assert [str(one) for one in names.get_values_for_type(x509.IPAddress)] == ["192.168.1.20"]
    assert stat.S_IMODE(first.path.stat().st_mode) == 0o600
    assert len(first.fingerprint.split(":")) == 32
    assert certificate_for(tmp_path, ("192.168.1.20",), NOW) == first
    moved = certificate_for(tmp_path, ("192.168.1.21",), NOW)
    assert moved.fingerprint != first.fingerprint
    late = certificate_for(tmp_path, ("192.168.1.21",), NOW + datetime.timedelta(days=390))
    assert late.fingerprint != moved.fingerprint
    assert not late.instead_of_damaged


@pytest.mark.parametrize("damage", ["cut", "other key", "bytes", "empty"])
def test_a_damaged_certificate_is_made_anew_and_that_is_said(tmp_path, damage):
    here = ("192.168.1.20",)
    first, other = certificate_for(tmp_path, here, NOW), certificate_for(tmp_path / "other", here, NOW)
    content = first.path.read_bytes()
    _, certificate = content.split(b"-----BEGIN CERTIFICATE", 1)
    first.path.write_bytes(
        {
            "cut": content[: len(content) // 2],
            "other key": other.path.read_bytes().split(b"-----BEGIN CERTIFICATE")[0]
            + b"-----BEGIN CERTIFICATE"
            + certificate,
            "bytes": content.replace(certificate[60:80], b"\xff" * 20),
            "empty": b"",
        }[damage]
    )
    anew = certificate_for(tmp_path, here, NOW)
    assert anew.instead_of_damaged
    assert anew.fingerprint != first.fingerprint
    ssl.create_default_context(ssl.Purpose.CLIENT_AUTH).load_cert_chain(anew.path)
    assert certificate_for(tmp_path, here, NOW) == dataclasses.replace(anew, instead_of_damaged=False)


def test_certificate_and_key_that_lay_apart_are_taken_along(tmp_path):
    first = certificate_for(tmp_path, ("192.168.1.20",), NOW)
    key, certificate = first.path.read_bytes().split(b"-----BEGIN CERTIFICATE")
    first.path.unlink()
    (tmp_path / "room.key").write_bytes(key)
    (tmp_path / "room.crt").write_bytes(b"-----BEGIN CERTIFICATE" + certificate)
    assert certificate_for(tmp_path, ("192.168.1.20",), NOW) == first
    assert [one.name for one in tmp_path.iterdir()] == ["room.pem"]


def test_on_a_full_disk_who_is_in_stays_in_and_who_is_out_stays_out(tmp_path, monkeypatch):
    path = tmp_path / "room" / "devices.json"
    devices = Devices(path)
    phone, key = devices.let_in("phone", NOW)
    tablet, other = devices.let_in("tablet", NOW)

    def full(path, content):
        raise OSError(errno.ENOSPC, "No space left on device")

    monkeypatch.setattr("fuseau.room.devices.write_private", full)
    assert devices.of(key, NOW + datetime.timedelta(minutes=5)).id == phone.id
    with pytest.raises(OSError, match="No space"):
        devices.let_in("a third", NOW)
    assert len(devices.listed()) == 2
    assert devices.put_out(phone.id)
    assert devices.of(key, NOW) is None
    assert devices.of(other, NOW).id == tablet.id
    assert Devices(path).of(key, NOW) is None  # after a restart too

    monkeypatch.setattr("pathlib.Path.unlink", lambda path, missing_ok=False: full(path, b""))
    with pytest.raises(PutOutForNow):
        devices.put_out(tablet.id)
    assert devices.of(other, NOW) is None
    monkeypatch.undo()
    assert devices.listed() == []
    assert Devices(path).of(other, NOW) is None  # kept once there is room


def test_only_addresses_of_a_room_are_told():
    assert all(not one.startswith("127.") for one in own_addresses())
