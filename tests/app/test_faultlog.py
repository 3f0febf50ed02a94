"""The log of faults: where they happened, never what was in them; and it stops no answer."""

from fuseau.app.faultlog import FaultLog


def failed(measure):
    try:
        try:
            raise KeyError(f"waist {measure}")
        except KeyError as inner:
            raise ValueError(f"girth {measure}") from inner
    except ValueError as error:
        return error


def test_it_tells_kinds_and_places_under_a_number_and_no_value(tmp_path):
    path = tmp_path / "fuseau.log"
    log = FaultLog(path)
    first, second = (log.write(failed("702.5 mm"), "planning") for _ in range(2))
    written = path.read_text()
    assert first != second
    for expected in (first, second, "ValueError", "KeyError", "test_faultlog.py", "failed", "during planning"):
        assert expected in written
    for measure in ("702", "waist", "girth"):
        assert measure not in written


def test_old_faults_give_way(tmp_path):
    path = tmp_path / "fuseau.log"
    log = FaultLog(path)
    numbers = [log.write(failed("1"), "x" * 4000) for _ in range(600)]
    assert numbers[-1] in path.read_text()
    assert sum(one.stat().st_size for one in tmp_path.iterdir()) < 1_700_000


def test_where_nothing_can_be_written_it_still_gives_a_number(tmp_path):
    path = tmp_path / "fuseau.log"
    path.mkdir()
    assert len(FaultLog(path).write(failed("1"), "planning")) == 6
    assert len(FaultLog(None).write(failed("1"), "planning")) == 6
