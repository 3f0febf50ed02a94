"""The room as devices meet it: over TLS, by code, each with its key; and what the laptop tells of it."""

import contextlib
import json
import shutil
import socket
import ssl
import threading
import time

import httpx
import pytest

from fuseau.app.door import COOKIE
from fuseau.app.room_server import RoomServer
from fuseau.room.codes import DoorShut
from fuseau.store.opening import UnusableDatabase
from tests.app.conftest import FILE
from tests.serving import free_port


@pytest.fixture
def room(app, client, tmp_path):
    """The room of the workshop, open on this machine alone: tests need no network."""
    found = RoomServer(tmp_path / "room", free_port(), lambda: app.state.session.news.tell("devices"), lambda: HERE)
    app.state.room = found
    yield found
    found.stop()


HERE = ("127.0.0.1",)


@pytest.fixture
def opened(client, room):
    state = client.put("/api/room/open").json()
    assert state.get("open"), state
    (url,) = room.urls
    return url


def device(url, **more):
    return httpx.Client(base_url=url, verify=False, follow_redirects=False, timeout=20, **more)


def let_in(client, url, name="phone"):
    """A device that read a code."""
    code = client.post("/api/room/code").json()
    one = device(url)
    answer = one.post("/enter", data={"code": code["code"], "name": name}, headers={"origin": url})
    assert answer.status_code == 303, answer.text
    return one, answer


def test_it_is_closed_until_it_is_opened_and_again_once_it_is_closed(client, room):
    closed = {"open": False, "urls": [], "fingerprint": "", "certificate_anew": False, "devices": []}
    assert client.get("/api/room").json() == closed
    refused = client.post("/api/room/code")
    assert (refused.status_code, refused.json()["sentence"]) == (
        422,
        "Open the room first: then a device can be let in.",
    )
    state = client.put("/api/room/open").json()
    assert len(state["fingerprint"]) == 95
    phone, _ = let_in(client, state["urls"][0])
    assert phone.get("/api/house").status_code == 200
    assert not client.delete("/api/room/open").json()["open"]
    with pytest.raises(httpx.TransportError):
        phone.get("/api/house")
    client.put("/api/room/open")
    assert phone.get("/api/house").status_code == 200  # it is let in until she says otherwise


def test_a_taken_port_is_told(client, app, tmp_path):
    with socket.socket() as taken:
        taken.bind(("0.0.0.0", 0))
        taken.listen()
        app.state.room = RoomServer(tmp_path, taken.getsockname()[1], lambda: None, lambda: HERE)
        assert "is in use" in client.put("/api/room/open").json()["sentence"]
    app.state.room = RoomServer(tmp_path, free_port(), lambda: None, lambda: ())
    assert "in no network" in client.put("/api/room/open").json()["sentence"]


def test_a_code_lets_one_device_in_with_a_key_of_its_own(client, opened):
    phone, answer = let_in(client, opened, "phone of Marit")
    cookie = answer.headers["set-cookie"]
    assert cookie.startswith(f"{COOKIE}=")
    assert {"Secure", "HttpOnly", "SameSite=strict", "Path=/"} <= {part.strip() for part in cookie.split(";")}
    assert "Domain" not in cookie
    assert phone.get("/").status_code in (200, 503)  # 503 where the interface is not built
    assert phone.get("/api/builds").status_code == 200
    tablet, _ = let_in(client, opened, "tablet")
    assert phone.cookies[COOKIE] != tablet.cookies[COOKIE]
    assert [one["name"] for one in client.get("/api/room").json()["devices"]] == ["tablet", "phone of Marit"]


def test_looking_at_a_code_does_not_use_it_up(client, opened):
    code = client.post("/api/room/code").json()
    assert code["url"] == f"{opened}/enter/{code['code']}"
    assert code["qr"].startswith("<svg")
    shown = device(opened).get(f"/enter/{code['code']}")
    assert shown.status_code == 200
    assert f'value="{code["code"]}"' in shown.text
    assert "script" not in shown.text
    assert device(opened).post("/enter", data={"code": code["code"]}).status_code == 303
    used = device(opened).post("/enter", data={"code": code["code"]})
    assert used.status_code == 403
    assert "good for five minutes, and once" in used.text
    odd = device(opened).get('/enter/"><script>alert(1)</script>')
    assert "<script" not in odd.text


def test_without_a_key_or_with_another_nothing_is_answered(client, opened):
    stranger = device(opened)
    assert stranger.get("/").status_code == 401
    assert "let in" in stranger.get("/").text
    for method, path in (
        ("GET", "/api/builds"),
        ("GET", "/api/events"),
        ("POST", "/api/builds"),
        ("GET", "/api/house"),
    ):
        answer = stranger.request(method, path)
        assert (answer.status_code, list(answer.json())) == (401, ["sentence", "faults", "changed", "log"])
    stranger.cookies.set(COOKIE, "guessed")
    assert stranger.get("/api/builds").status_code == 401
    assert stranger.get("/assets/anything.js").status_code == 401


def test_guessing_shuts_the_door_also_for_the_right_code(client, room, opened):
    code = client.post("/api/room/code").json()["code"]
    guesser = device(opened)
    elsewhere = [{"x-forwarded-for": f"10.0.0.{i}"} for i in range(5)]  # as if a proxy told so: there is none
    answers = [
        guesser.post("/enter", data={"code": f"GUESS{i}"}, headers=lie).status_code for i, lie in enumerate(elsewhere)
    ]
    assert answers == [403, 403, 403, 403, 429]
    right = guesser.post("/enter", data={"code": code})
    assert right.status_code == 429
    assert "stays shut" in right.text
    again = client.post("/api/room/code").json()["code"]
    assert guesser.post("/enter", data={"code": again}).status_code == 429
    for i in range(45):  # as if from other places
        with contextlib.suppress(DoorShut):
            room.codes.take(f"GUESS{i}", time.monotonic(), f"place {i // 5}")
    shut = device(opened).post("/enter", data={"code": again})
    assert "stays shut" in shut.text
    anew = client.post("/api/room/code").json()["code"]  # the maker lets in whom she wants, whatever was guessed
    assert guesser.post("/enter", data={"code": anew}).status_code == 429
    assert room.codes.take(anew, time.monotonic(), "her phone")
    assert client.get("/api/builds").status_code == 200  # the laptop goes on


def test_a_damaged_certificate_a_file_for_a_folder_and_a_door_that_does_not_answer_are_told(
    client, room, tmp_path, monkeypatch
):
    first = client.put("/api/room/open").json()
    client.delete("/api/room/open")
    pem = tmp_path / "room" / "room.pem"
    pem.write_bytes(pem.read_bytes()[:200])
    anew = client.put("/api/room/open").json()
    assert anew["certificate_anew"]
    assert anew["fingerprint"] != first["fingerprint"]
    with socket.create_connection(("127.0.0.1", int(anew["urls"][0].rsplit(":", 1)[1]))) as plain:
        weak = ssl.SSLContext(ssl.PROTOCOL_TLS_CLIENT)
        weak.check_hostname, weak.verify_mode = False, ssl.CERT_NONE
        weak.maximum_version = ssl.TLSVersion.TLSv1_2
        weak.set_ciphers(
            "ECDHE-ECDSA-AES128-SHA256:ECDHE-ECDSA-AES128-SHA:@SECLEVEL=0"
        )  # encrypted, then authenticated
        with pytest.raises(ssl.SSLError):
            weak.wrap_socket(plain)
    client.delete("/api/room/open")
    monkeypatch.setattr("fuseau.app.room_server._answers", lambda port: False)
    silent = client.put("/api/room/open")
    assert (silent.status_code, silent.json()["sentence"][:27]) == (422, "The room does not answer at")
    assert not client.get("/api/room").json()["open"]
    shutil.rmtree(tmp_path / "room")
    (tmp_path / "room").write_text("a file")
    blocked = client.put("/api/room/open")
    assert (blocked.status_code, "a file called “room”" in blocked.json()["sentence"]) == (422, True)


def test_a_device_is_told_no_path_of_the_laptop(client, opened):
    phone, _ = let_in(client, opened)
    assert client.get("/api/about").json()["folder"]
    assert phone.get("/api/about").json()["folder"] == ""


def test_another_host_or_site_is_refused(client, opened):
    phone, _ = let_in(client, opened)
    port = opened.rsplit(":", 1)[1]
    for host in ("evil.example", f"evil.example:{port}", "127.0.0.1", f"localhost:{port}", f"127.0.0.2:{port}"):
        assert phone.get("/api/builds", headers={"host": host}).status_code == 421
    assert phone.post("/api/builds", json={"name": "x"}, headers={"origin": "https://evil.example"}).status_code == 403
    assert (
        phone.post("/api/builds", json={"name": "x"}, headers={"origin": f"http://127.0.0.1:{port}"}).status_code == 403
    )
    assert phone.get("/api/builds", headers={"sec-fetch-site": "cross-site"}).status_code == 403
    assert (
        device(opened).post("/enter", data={"code": "x"}, headers={"origin": "https://evil.example"}).status_code == 403
    )
    for site, own in (("cross-site", False), ("same-site", False), ("", False), ("same-origin", True)):
        # a form without its origin is taken of this very site only
        answer = device(opened).post("/enter", data={"code": "x"}, headers={"origin": "null", "sec-fetch-site": site})
        assert ("not the code on the laptop" in answer.text) == own, site
        assert phone.post("/api/builds", json={"name": "x"}, headers={"origin": "null"}).status_code == 403
    mine = phone.post("/api/builds", json={"name": "Kelp piper"}, headers={"origin": opened})
    assert mine.status_code == 201
    # the laptop's own door stays as it was
    assert client.get("/api/builds", headers={"host": f"127.0.0.1:{port}"}).status_code == 421
    assert client.post("/api/builds", json={"name": "x"}, headers={"origin": opened}).status_code == 403


def test_a_key_is_of_no_use_without_tls(client, opened):
    phone, _ = let_in(client, opened)
    with pytest.raises(httpx.TransportError):
        httpx.get(f"{opened.replace('https', 'http')}/api/builds", cookies=dict(phone.cookies))
    assert client.get("/api/room", headers={"cookie": f"{COOKIE}={phone.cookies[COOKIE]}"}).status_code == 200
    plain = client.get(
        "/api/builds", headers={"host": "192.168.1.5:8321", "cookie": f"{COOKIE}={phone.cookies[COOKIE]}"}
    )
    assert plain.status_code == 421


def test_devices_do_not_let_devices_in_nor_carry_everything_away(client, opened):
    phone, _ = let_in(client, opened)
    for method, path in (
        ("GET", "/api/room"),
        ("POST", "/api/room/code"),
        ("DELETE", "/api/room/devices/x"),
        ("GET", "/api/backup"),
        ("PUT", "/api/backup"),
        ("GET", "/api/copies"),
    ):
        assert phone.request(method, path, headers={"origin": opened}).status_code == 403, path


def test_a_device_is_told_no_folder_of_the_laptop(client, opened, monkeypatch):
    phone, _ = let_in(client, opened)
    store, folder = client.app.state.session.workshop, client.app.state.session.database.parent

    def listed(*_):
        raise UnusableDatabase(f"{folder}/fuseau.db is damaged: there is nothing in {folder.resolve()}.")

    monkeypatch.setattr(type(store), "listed", listed)
    assert str(folder) in client.get("/api/builds").json()["sentence"]
    said = phone.get("/api/builds").json()["sentence"]
    assert said == "fuseau.db is damaged: there is nothing in the laptop's folder."


def test_who_is_put_out_is_out_at_once_also_while_it_uploads(client, opened):
    phone, _ = let_in(client, opened)
    (listed,) = client.get("/api/room").json()["devices"]

    def photo():
        yield b"\xff\xd8" + b"0" * 1000
        assert client.delete(f"/api/room/devices/{listed['id']}").json()["devices"] == []
        yield b"1" * 1000

    answer = phone.post("/api/photos?name=gap", content=photo(), headers={"origin": opened, **FILE})
    assert answer.status_code == 401
    assert "nothing of that was kept" in answer.json()["sentence"]
    assert phone.get("/api/builds").status_code == 401
    again = client.delete(f"/api/room/devices/{listed['id']}")
    assert (again.status_code, again.json()["sentence"]) == (422, "This device is not let in any more.")


def heard(one, until):
    """Events as they come, till one of them is awaited; read in a thread of its own."""
    found, ready = [], threading.Event()

    def listen():
        with one.stream("GET", "/api/events") as answer:
            assert answer.headers["content-type"].startswith("text/event-stream")
            what = ""
            for line in answer.iter_lines():
                ready.set()
                if line.startswith("event: "):
                    what = line[7:]
                elif line.startswith("data: "):
                    found.append((what, json.loads(line[6:])))
                    if what == until:
                        return

    thread = threading.Thread(target=listen, daemon=True)
    thread.start()
    assert ready.wait(20)
    return found, thread


def test_what_changes_on_the_laptop_is_told_to_the_devices(client, opened, sheet):
    phone, _ = let_in(client, opened)
    found, thread = heard(phone, "photo")
    body = {"revision": sheet["revision"], "changes": [{"at": "target.gap_mm", "value": "42 mm"}]}
    now = client.post(f"/api/builds/{sheet['id']}/changes", json=body).json()
    undone = client.post(f"/api/builds/{sheet['id']}/undo", json={"revision": now["revision"]}).json()
    from tests.files.test_pictures import picture

    content = picture()
    kept = client.post(
        f"/api/photos?name=gap&build={sheet['id']}&page=p1",
        content=content,
        headers={"content-type": "application/octet-stream"},
    )
    assert kept.status_code == 201
    thread.join(20)
    assert [one for one in found if one[0] == "build"] == [
        ("build", {"id": sheet["id"], "revision": now["revision"]}),
        ("build", {"id": sheet["id"], "revision": undone["revision"]}),
    ]
    assert found[-1] == ("photo", {"build": sheet["id"], "page": "p1", "name": "gap", "photo": kept.json()})


def test_a_photo_that_is_too_large_is_told_and_nothing_is_kept(client, opened):
    phone, _ = let_in(client, opened)
    answer = phone.post("/api/photos?name=gap", content=b"0" * 40_000_000, headers={"origin": opened, **FILE})
    assert answer.status_code == 413
    assert "40.0 MB" in answer.json()["sentence"]


def test_what_a_device_listens_to_ends_when_it_is_put_out(client, opened):
    phone, _ = let_in(client, opened)
    (listed,) = client.get("/api/room").json()["devices"]
    found, thread = heard(phone, "never")
    client.delete(f"/api/room/devices/{listed['id']}")
    thread.join(20)
    assert not thread.is_alive()
    assert [what for what, _ in found] == ["begin"]


def test_who_comes_back_hears_what_was_missed(client, opened, sheet):
    phone, _ = let_in(client, opened)
    url, body = f"/api/builds/{sheet['id']}/changes", {"changes": [{"at": "target.gap_mm", "value": "42 mm"}]}
    with phone.stream("GET", "/api/events") as answer:
        begun = [next(lines) for lines in [answer.iter_lines()] for _ in range(4)]
    asleep = int(begun[1].removeprefix("id: "))
    first = client.post(url, json={"revision": sheet["revision"], **body}).json()
    with phone.stream("GET", f"/api/events?after={asleep}") as answer:
        lines = answer.iter_lines()
        told = [next(lines) for _ in range(8)]
    assert told[1:4] == [f"id: {asleep}", "event: begin", 'data: {"whole": true}']
    assert told[6:] == ["event: build", f"data: {json.dumps({'id': sheet['id'], 'revision': first['revision']})}"]
    # a browser that connects anew by itself says so in a header; one of a server before has missed something
    for heard_last, whole in ((asleep + 1, "true"), (asleep + 500, "false")):
        with phone.stream("GET", "/api/events", headers={"last-event-id": str(heard_last)}) as answer:
            lines = answer.iter_lines()
            assert [next(lines) for _ in range(4)][3] == f'data: {{"whole": {whole}}}'


def test_nobody_begins_to_listen_once_the_server_stops(client):
    client.app.state.session.news.close()
    with client.stream("GET", "/api/events") as answer:
        assert answer.status_code == 200
        assert list(answer.iter_lines()) == []  # so that nothing holds it up
