"""A certificate that the machine makes for itself, so that what goes through the room can't be read on the way."""

import datetime
import ipaddress
import os
from dataclasses import dataclass
from pathlib import Path

from cryptography import x509
from cryptography.hazmat.primitives import hashes, serialization
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.x509.oid import ExtendedKeyUsageOID, NameOID

_LASTS_DAYS = 397  # browsers take none that lasts longer
_RENEW_DAYS = 14


@dataclass(frozen=True)
class Certificate:
    """Where certificate and key lie, and the fingerprint by which a browser shows it: SHA-256, in pairs."""

    certificate: Path
    key: Path
    fingerprint: str


def certificate_for(folder: Path, addresses: tuple[str, ...], now: datetime.datetime) -> Certificate:
    """The certificate in a folder; a new one where there is none for these addresses, or it ends soon."""
    where, key = folder / "room.crt", folder / "room.key"
    found = _read(where)
    if found is None or not key.exists() or not _good(found, addresses, now):
        folder.mkdir(parents=True, exist_ok=True)
        found = _make(where, key, addresses, now)
    print_ = found.fingerprint(hashes.SHA256()).hex().upper()
    return Certificate(where, key, ":".join(print_[i : i + 2] for i in range(0, len(print_), 2)))


def _read(path: Path) -> x509.Certificate | None:
    try:
        return x509.load_pem_x509_certificate(path.read_bytes())
    except (OSError, ValueError):
        return None


def _good(found: x509.Certificate, addresses: tuple[str, ...], now: datetime.datetime) -> bool:
    if found.not_valid_after_utc - now < datetime.timedelta(days=_RENEW_DAYS) or found.not_valid_before_utc > now:
        return False
    try:
        names = found.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    except x509.ExtensionNotFound:
        return False
    return {str(value) for value in names.get_values_for_type(x509.IPAddress)} >= set(addresses)


def _make(where: Path, key: Path, addresses: tuple[str, ...], now: datetime.datetime) -> x509.Certificate:
    secret = ec.generate_private_key(ec.SECP256R1())
    name = x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, "Fuseau on this machine")])
    names = [x509.IPAddress(ipaddress.ip_address(address)) for address in addresses]
    made = (
        x509.CertificateBuilder()
        .subject_name(name)
        .issuer_name(name)
        .public_key(secret.public_key())
        .serial_number(x509.random_serial_number())
        .not_valid_before(now - datetime.timedelta(hours=1))
        .not_valid_after(now + datetime.timedelta(days=_LASTS_DAYS))
        .add_extension(x509.SubjectAlternativeName(names), critical=False)
        .add_extension(x509.BasicConstraints(ca=False, path_length=None), critical=True)
        .add_extension(x509.ExtendedKeyUsage([ExtendedKeyUsageOID.SERVER_AUTH]), critical=False)
        .sign(secret, hashes.SHA256())
    )
    written = secret.private_bytes(
        serialization.Encoding.PEM, serialization.PrivateFormat.PKCS8, serialization.NoEncryption()
    )
    with os.fdopen(os.open(key, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600), "wb") as file:
        file.write(written)
    where.write_bytes(made.public_bytes(serialization.Encoding.PEM))
    return made
