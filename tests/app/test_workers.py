"""The processes beside the server: bounded in time and memory, stopped when asked, and the newest question wins."""

import json
import threading
import time
from types import SimpleNamespace

import pytest

from fuseau.app.connections import ASKER
from fuseau.app.workers import Overrun, Stopped, Workers
from fuseau.craft.base.errors import Unmakeable
from fuseau.files.intake import take_in
from fuseau.files.unreadable import UnreadableFile
from tests.app.conftest import FILE, edit
from tests.app.misbehaving import busily, dying, forever, greedy, reading_badly, refusing, slowly, within_a_library


@pytest.fixture(scope="module")
def workers():
    found = Workers()
    yield found
    found.close()


@pytest.mark.parametrize("work", [busily, within_a_library])
def test_a_file_that_takes_too_much_work_is_stopped_and_the_next_is_read(workers, monkeypatch, work):
    monkeypatch.setattr("fuseau.app.workers.READING_S", 0.3)
    with pytest.raises(UnreadableFile, match="takes longer than it may"):
        workers.read(work)
    monkeypatch.undo()
    assert workers.read(abs, -3) == 3


def test_waiting_in_line_is_no_work(workers, monkeypatch):
    """A small file behind others, or beside a busy processor, is read all the same."""
    monkeypatch.setattr("fuseau.app.workers.READING_S", 0.3)
    before = [threading.Thread(target=workers.read, args=(slowly,)) for _ in range(3)]
    for one in before:
        one.start()
    assert workers.read(abs, -3) == 3
    for one in before:
        one.join(20)


def test_what_waits_for_something_that_never_comes_is_stopped_too(workers, monkeypatch):
    monkeypatch.setattr("fuseau.app.workers.READING_S", 0.04)
    with pytest.raises(UnreadableFile, match="takes longer than it may"):
        workers.read(forever)


def test_a_file_that_takes_too_much_memory_is_stopped_and_the_next_is_read(workers):
    with pytest.raises(UnreadableFile, match="more memory than it may"):
        workers.read(greedy)
    assert workers.read(abs, -3) == 3


def test_a_process_that_dies_takes_nothing_with_it(workers):
    with pytest.raises(Overrun):
        workers.make(dying)
    assert workers.make(abs, -3) == 3


def test_what_the_craft_refuses_comes_back_as_it_was_raised(workers):
    with pytest.raises(Unmakeable) as caught:
        workers.make(refusing)
    assert (caught.value.at, caught.value.message.given["line"]) == ("front.line", "8·9")
    with pytest.raises(UnreadableFile, match="This file is odd"):
        workers.read(reading_badly)


def asked(workers, *question):
    """Ask in a thread of its own; what came of it is in the list that this gives."""
    came = []

    def ask():
        try:
            came.append(workers.think(*question))
        except Exception as error:
            came.append(error)

    thread = threading.Thread(target=ask)
    thread.start()
    return thread, came


def wait_for(what, most_s=20.0):
    end = time.monotonic() + most_s
    while not what():
        assert time.monotonic() < end, "it never came"
        time.sleep(0.01)


def test_a_question_is_stopped_when_asked(workers):
    thread, came = asked(workers, "a", "odds", 1, forever)
    wait_for(lambda: any(one.share is not None for one in workers.underway("a")))
    assert [one.what for one in workers.underway("a")] == ["odds"]
    assert workers.underway("b") == []
    workers.stop("a", "odds")
    thread.join(20)
    assert isinstance(came[0], Stopped)
    assert workers.think("a", "odds", 1, abs, -3) == 3


def test_the_newest_question_on_a_build_wins(workers):
    thread, came = asked(workers, "a", "odds", 1, forever)
    wait_for(lambda: workers.underway("a"))
    other, waits = asked(workers, "b", "odds", 1, abs, -5)
    assert workers.think("a", "odds", 2, abs, -3) == 3
    thread.join(20)
    other.join(20)
    assert isinstance(came[0], Stopped)
    assert waits == [5], "another build's question is not touched"


def test_whoever_leaves_is_not_waited_for_and_another_who_asks_the_same_is(workers, monkeypatch):
    left = threading.Event()
    gone, came = asked_by(workers, left.is_set, "a", "odds", 1, forever)
    wait_for(lambda: any(one.share is not None for one in workers.underway("a")))
    stays, also = asked(workers, "a", "odds", 1, forever)
    wait_for(lambda: workers._thoughts["a", "odds"].asking == 2)
    left.set()
    gone.join(20)
    assert isinstance(came[0], Stopped)
    assert [one.what for one in workers.underway("a")] == ["odds"]
    assert also == []
    workers.stop("a", "odds")
    stays.join(20)
    alone, came = asked_by(workers, left.is_set, "b", "story", 1, forever)
    alone.join(20)
    assert isinstance(came[0], Stopped)
    wait_for(lambda: workers.underway("b") == [])
    assert workers.think("a", "odds", 2, abs, -3) == 3, "the processor is free again"


def asked_by(workers, left, *question):
    """Asked by somebody who may leave."""
    return asked(SimpleNamespace(think=lambda *of: _heard(workers, left, of)), *question)


def _heard(workers, left, question):
    ASKER.set(SimpleNamespace(fileno=lambda: -1 if left() else 7))
    return workers.think(*question)


def test_the_same_question_asked_twice_is_worked_out_once(workers):
    first, came = asked(workers, "a", "story", 1, slowly)
    wait_for(lambda: workers.underway("a"))
    second, also = asked(workers, "a", "story", 1, slowly)
    first.join(20)
    second.join(20)
    assert came == also


def test_odds_are_stopped_over_the_wire_and_an_edit_beside_them_is_answered(client, sheet):
    answers = []
    thread = threading.Thread(target=lambda: answers.append(client.get(f"/api/builds/{sheet['id']}/readiness")))
    thread.start()
    assert edit(client, sheet, "brief.note", "while it thinks").status_code == 200
    client.delete(f"/api/builds/{sheet['id']}/underway/odds")
    thread.join(60)
    assert answers[0].status_code in (200, 409)
    assert client.get(f"/api/builds/{sheet['id']}/underway").json() == []


# --- files from outside


BASE = '{"format": "fuseau.build", "version": 3, '


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (b"[" * 9_000_000, "are more than any build needs"),
        (b'{"a":' * 1_800_000, "are more than any build needs"),
        (b"[" * 300_000, "nested too deeply"),
        ((BASE + '"brief": {"name": "' + "a" * 9_000_000 + '"}}').encode(), "characters; 120 are the most"),
        ((BASE + '"versions": [' + "{}," * 190_000 + "{}]}").encode(), "60 are the most"),
        ((BASE + '"versions": [' + "{}," * 59 + "{}]}").encode(), "versions.0.number"),
        ((BASE + ",".join(f'"k{i}": 1' for i in range(300_000)) + "}").encode(), "does not know 300000 of these"),
        ((BASE + '"wearer": {"waist": {"readings_mm": [' + '"x",' * 200_000 + '"x"]}}}').encode(), "12 are the most"),
        ((BASE + '"brief": {"movement": [' + '"x",' * 300 + '"x"]}}').encode(), "at brief.movement"),
        ((BASE + '"x": ' + "9" * 9_000_000 + "}").encode(), "a number of 9000000 digits"),
        ((BASE + '"x": 0.' + "9" * 9_000_000 + "}").encode(), "a number of"),
        (b'"' + b"\\ud800" * 1_500_000 + b'"', "half a character"),
        (b'"' + b"\\" * 9_000_000, "breaks off or is damaged"),
        (b"\x00" * 9_000_000, "breaks off or is damaged"),
        (b"\xff\xfe" * 4_500_000, "not a text file"),
        ((BASE + '"attached": {' + ",".join(f'"{i}": "AAAA"' for i in range(200_000)) + "}}").encode(), None),
    ],
    ids=range(16),
)
def test_nine_megabytes_of_nonsense_are_answered_soon_and_shortly(client, content, says):
    answer = client.post("/api/builds/import", content=content, headers=FILE)
    assert len(answer.content) < 20_000
    if says is None:
        assert answer.status_code == 201
        return
    assert answer.status_code == 422
    assert says in answer.json()["sentence"] + str(answer.json()["faults"]), answer.json()["sentence"]
    assert len(answer.json()["faults"]) <= 20


def test_a_bad_file_takes_no_more_than_a_worker_may(measured):
    import resource

    data = json.loads(measured.model_dump_json()) | {"fittings": [{"readings": [{"z_mm": "x"}] * 12}] * 60}
    with pytest.raises(UnreadableFile) as caught:
        take_in(json.dumps(data).encode())
    assert len(caught.value.faults) == 20
    assert resource.getrusage(resource.RUSAGE_SELF).ru_maxrss < 1_500_000


def test_told_to_end_nothing_more_is_worked_out():
    workers = Workers()
    try:
        asked = threading.Thread(target=lambda: heard.append(_told(workers)))
        heard: list[str] = []
        asked.start()
        while not workers.underway("b"):
            pass
        workers.stop_all()
        asked.join(20)
        assert heard == ["stopped"]
        with pytest.raises(Stopped):
            workers.think("b", "odds", 2, time.sleep, 30)
    finally:
        workers.close()


def _told(workers):
    try:
        workers.think("b", "odds", 1, time.sleep, 30)
    except Stopped:
        return "stopped"
    return "answered"
