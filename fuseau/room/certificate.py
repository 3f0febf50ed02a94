"""A certificate that the machine makes for itself, so that what goes through the room can't be read on the way."""

import datetime
import ipaddress
from dataclasses import dataclass
from pathlib import Path

from cryptography import x509
from cryptography.exceptions import UnsupportedAlgorithm
from cryptography.hazmat.primitives import hashes, serialization
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.x509.oid import ExtendedKeyUsageOID, NameOID

from fuseau.room.private import write_private

_LASTS_DAYS = 397  # browsers take none that lasts longer
_RENEW_DAYS = 14


@dataclass(frozen=True)
class Certificate:
    """The file with certificate and key, and the fingerprint by which a browser shows it: SHA-256, in pairs.

    `instead_of_damaged`: the file that was there could not be used, so that devices will ask once more.
    """

    path: Path
    fingerprint: str
    instead_of_damaged: bool = False


def certificate_for(folder: Path, addresses: tuple[str, ...], now: datetime.datetime) -> Certificate:
    """The certificate in a folder, with its key in the same file, so that one is never without the other.

    A new one where there is none for these addresses, it ends soon, or it is damaged. Raises OSError.
    """
    path = folder / "room.pem"
    _join_apart(folder, path)
    read = _read(path)
    damaged = path.exists() and read is None
    if read is None or not _good(read, addresses, now):
        read = _make(path, addresses, now)
    print_ = read.fingerprint(hashes.SHA256()).hex().upper()
    return Certificate(path, ":".join(print_[i : i + 2] for i in range(0, len(print_), 2)), damaged)


def _join_apart(folder: Path, path: Path) -> None:
    """Certificate and key in one file, where they still lie each by itself as they once did."""
    apart = folder / "room.key", folder / "room.crt"
    if not path.exists() and all(one.is_file() for one in apart):
        write_private(path, b"".join(one.read_bytes() for one in apart))
    for one in apart:
        one.unlink(missing_ok=True)


def _read(path: Path) -> x509.Certificate | None:
    """The certificate of a file whose key belongs to it; None for any other."""
    try:
        content = path.read_bytes()
        certificate = x509.load_pem_x509_certificate(content)
        key = serialization.load_pem_private_key(content, None)
    except (OSError, ValueError, TypeError, UnsupportedAlgorithm):
        return None
    return certificate if key.public_key() == certificate.public_key() else None


def _good(found: x509.Certificate, addresses: tuple[str, ...], now: datetime.datetime) -> bool:
    if found.not_valid_after_utc - now < datetime.timedelta(days=_RENEW_DAYS) or found.not_valid_before_utc > now:
        return False
    try:
        names = found.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    except x509.ExtensionNotFound:
        return False
    return {str(value) for value in names.get_values_for_type(x509.IPAddress)} >= set(addresses)


def _make(path: Path, addresses: tuple[str, ...], now: datetime.datetime) -> x509.Certificate:
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
    write_private(path, written + made.public_bytes(serialization.Encoding.PEM))
    return made
