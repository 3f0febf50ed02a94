"""A crowd at a door: whoever says nothing, or says it a byte at a time, makes room for whoever asks."""

import contextlib
import ssl
import threading
import time
from dataclasses import replace

import httpx
import pytest
import uvicorn
from starlette.concurrency import run_in_threadpool

from fuseau.app.connections import OF_LAPTOP, OF_ROOM, Attended, Bounds, Connections, has_left
from fuseau.app.guard import Guard
from fuseau.app.room_server import RoomServer
from tests.serving import caller, free_port

NARROW = Bounds(in_all=12, by_address=8, greeting_s=0.05, silent_s=0.5, slowest_bytes_s=20_000, untaken_s=0.5)


heard: list[bool] = []


async def workshop(scope, receive, send):
    """Takes a body and gives it back; `/long` gives more than any buffer between here and there holds."""
    body, more = b"", True
    while more:
        message = await receive()
        body, more = body + message.get("body", b""), message.get("more_body", False)
    if scope["path"] == "/odds":
        await run_in_threadpool(lambda: wait_for(lambda: heard.append(has_left()) or heard[-1]))
    await send({"type": "http.response.start", "status": 200, "headers": []})
    if scope["path"] == "/long":
        for _ in range(400):
            await send({"type": "http.response.body", "body": bytes(100_000), "more_body": True})
    await send({"type": "http.response.body", "body": body})


@contextlib.contextmanager
def door(bounds, everyone=True):
    connections, port = Connections(bounds), free_port()
    listening = connections.listener("127.0.0.1", port)
    app = Attended(Guard(workshop), connections, everyone)
    server = uvicorn.Server(
        uvicorn.Config(app, log_level="critical", lifespan="off", loop="asyncio", timeout_graceful_shutdown=1)
    )
    thread = threading.Thread(target=server.run, kwargs={"sockets": [listening]}, daemon=True)
    thread.start()
    wait_for(lambda: server.started)
    try:
        yield connections, port
    finally:
        server.should_exit = server.force_exit = True
        thread.join(10)


def wait_for(what, most_s=20.0):
    end = time.monotonic() + most_s
    while not what():
        assert time.monotonic() < end, "it never came"
        time.sleep(0.01)


def silent(port, count, source="127.0.0.1"):
    return [caller(port, source) for _ in range(count)]


def answered(url, status=200):
    """Whether somebody is let as far as to be answered."""
    try:
        return httpx.get(url, verify=False, timeout=5).status_code == status
    except httpx.TransportError:
        return False


def ended(one):
    """Whether the other side has ended it: nothing more comes."""
    try:
        return one.recv(1) == b""
    except ConnectionError:
        return True


def test_a_silent_crowd_is_bounded_in_all_and_by_address_and_who_asks_is_answered():
    with door(replace(NARROW, silent_s=60)) as (connections, port):
        crowd = silent(port, 30, "127.0.0.2")
        wait_for(lambda: len(connections) == NARROW.by_address)
        assert httpx.get(f"http://127.0.0.1:{port}/", timeout=5).status_code == 200
        wait_for(lambda: len(connections) == NARROW.by_address)  # who asked has gone again
        for number in range(3, 9):
            crowd += silent(port, 5, f"127.0.0.{number}")
        wait_for(lambda: len(connections) == NARROW.in_all)
        wait_for(lambda: answered(f"http://127.0.0.1:{port}/"))  # as soon as the first have had time to greet
        for one in crowd:
            one.close()
        wait_for(lambda: len(connections) == 0)


def test_who_says_nothing_is_ended_and_gives_his_place_back():
    with door(NARROW) as (connections, port):
        assert all(ended(one) for one in silent(port, 5))
        wait_for(lambda: len(connections) == 0)


def test_who_was_let_in_makes_no_room_for_strangers():
    with door(replace(NARROW, silent_s=60)) as (connections, port), httpx.Client() as known:
        assert known.get(f"http://127.0.0.1:{port}/").status_code == 200
        (mine,) = connections._open
        crowd = [one for number in range(2, 6) for one in silent(port, 10, f"127.0.0.{number}")]
        wait_for(lambda: len(connections) == NARROW.in_all)
        assert mine in connections._open
        assert known.post(f"http://127.0.0.1:{port}/", content=b"x" * 70_000).status_code == 200
        for one in crowd:
            one.close()


def test_a_byte_at_a_time_is_no_request():
    with door(NARROW) as (_, port):
        (slow,) = silent(port, 1)
        began = time.monotonic()
        with contextlib.suppress(OSError):
            for sign in b"GET / HTTP/1.1\r\nhost: 127.0.0.1\r\nx: " + b"y" * 400:
                slow.send(bytes([sign]))
                time.sleep(0.02)  # slower than anybody can be
        assert ended(slow)
        assert time.monotonic() - began < 10 * NARROW.silent_s


def test_a_slow_body_is_given_up_and_told_so_and_a_steady_one_is_taken():
    with door(NARROW) as (_, port):
        (slow,) = silent(port, 1)
        slow.sendall(f"POST / HTTP/1.1\r\nhost: 127.0.0.1:{port}\r\ncontent-length: 50\r\n\r\nabc".encode())
        said = b"".join(iter(lambda: slow.recv(4000), b""))
        assert said.startswith(b"HTTP/1.1 408")
        assert b"nothing of it was kept" in said

        def steady():
            for _ in range(12):
                yield bytes(10_000)
                time.sleep(0.1)  # longer in all than a silent one may take

        answer = httpx.post(f"http://127.0.0.1:{port}/", content=steady(), timeout=20)
        assert (answer.status_code, len(answer.content)) == (200, 120_000)


def test_an_answer_that_nobody_reads_is_given_up():
    with door(NARROW) as (connections, port):
        (deaf,) = silent(port, 1)
        deaf.sendall(f"GET /long HTTP/1.1\r\nhost: 127.0.0.1:{port}\r\n\r\n".encode())
        wait_for(lambda: any(one.asking for one in connections._open))
        wait_for(lambda: len(connections) == 0)
        with httpx.stream("GET", f"http://127.0.0.1:{port}/long", timeout=20) as answer:
            came = 0
            for part in answer.iter_raw():
                came += len(part)
                time.sleep(0.001)  # slowly, but it is read
        assert came == 40_000_000


def test_an_answer_under_way_knows_when_nobody_waits_for_it():
    heard.clear()
    with door(NARROW) as (connections, port):
        (one,) = silent(port, 1)
        one.sendall(f"GET /odds HTTP/1.1\r\nhost: 127.0.0.1:{port}\r\n\r\n".encode())
        wait_for(lambda: len(heard) > 2)
        assert not any(heard)
        one.close()
        wait_for(lambda: heard[-1])
        wait_for(lambda: len(connections) == 0)


def test_a_greeting_that_never_comes_keeps_no_place_in_the_room(monkeypatch, tmp_path):
    monkeypatch.setattr("fuseau.app.room_server.OF_ROOM", NARROW)
    room = RoomServer(tmp_path, free_port(), lambda: None, lambda: ("127.0.0.1",))
    room.start(workshop)
    try:
        port = int(room.urls[0].rsplit(":", 1)[1])
        crowd = [one for number in range(2, 6) for one in silent(port, 10, f"127.0.0.{number}")]
        wait_for(lambda: answered(room.urls[0], 401))
        assert all(ended(one) for one in crowd)
        half = ssl.create_default_context()
        half.check_hostname, half.verify_mode = False, ssl.CERT_NONE
        with half.wrap_socket(silent(port, 1)[0]) as greeted:
            assert ended(greeted)  # it greeted, and then asked nothing
    finally:
        room.stop()


@pytest.mark.parametrize("bounds", [OF_LAPTOP, OF_ROOM])
def test_there_is_place_for_every_browser_of_a_household(bounds):
    assert bounds.by_address >= 3 * 6 + 3  # of one device: three pages of six connections each, and their news
    assert OF_LAPTOP.in_all + OF_ROOM.in_all < 1024 - 400  # what a process may have at the least
