"""Codes, devices and the certificate of the room, without a server."""

import datetime
import stat

import pytest
from cryptography import x509
from hypothesis import given
from hypothesis import strategies as st

from fuseau.room.addresses import own_addresses
from fuseau.room.certificate import certificate_for
from fuseau.room.codes import LIVES_S, SHUT_S, WRONG_IN_ALL, WRONG_ONES, Codes, DoorShut
from fuseau.room.devices import LASTS_DAYS, MOST, Devices, TooMany

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
    with pytest.raises(DoorShut):
        codes.make(SHUT_S)
    assert codes.take(codes.make(SHUT_S + 3.0).text, SHUT_S + 4.0, "her phone")


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
    read = x509.load_pem_x509_certificate(first.certificate.read_bytes())
    names = read.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    assert [str(one) for one in names.get_values_for_type(x509.IPAddress)] == ["192.168.1.20"]
    assert stat.S_IMODE(first.key.stat().st_mode) == 0o600
    assert len(first.fingerprint.split(":")) == 32
    assert certificate_for(tmp_path, ("192.168.1.20",), NOW) == first
    moved = certificate_for(tmp_path, ("192.168.1.21",), NOW)
    assert moved.fingerprint != first.fingerprint
    late = certificate_for(tmp_path, ("192.168.1.21",), NOW + datetime.timedelta(days=390))
    assert late.fingerprint != moved.fingerprint
    first.certificate.write_text("damaged")
    assert certificate_for(tmp_path, ("192.168.1.21",), NOW).fingerprint not in (first.fingerprint, late.fingerprint)


def test_only_addresses_of_a_room_are_told():
    assert all(not one.startswith("127.") for one in own_addresses())
