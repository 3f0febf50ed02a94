"""Under which addresses this machine is found in its room."""

import contextlib
import ipaddress
import socket

_SOMEWHERE = ("192.0.2.1", 9)  # an address for documents (RFC 5737): nothing is sent to it, only a way there chosen


def own_addresses() -> tuple[str, ...]:
    """This machine's own IPv4 addresses in private networks, the one that it would use first."""
    found: list[str] = []
    with socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as probe:
        try:
            probe.connect(_SOMEWHERE)
            found.append(str(probe.getsockname()[0]))
        except OSError:
            pass
    with contextlib.suppress(OSError):
        found += [str(one[4][0]) for one in socket.getaddrinfo(socket.gethostname(), None, socket.AF_INET)]
    return tuple(dict.fromkeys(one for one in found if _of_a_room(one)))


def _of_a_room(text: str) -> bool:
    address = ipaddress.ip_address(text)
    return address.is_private and not address.is_loopback and not address.is_unspecified
