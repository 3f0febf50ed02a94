"""A browser for the module, and a server with fresh data for each test."""

import os
from pathlib import Path

import pytest

from fuseau.store.opening import open_database
from tests.craft.fitting.test_photo_gap import drawn, tilted
from tests.serving import Room, copied
from tests.ui.driving import Hand, Server, chromium

PAGES = Path("fuseau/app/pages/index.html")


@pytest.fixture(scope="session")
def downloads(tmp_path_factory):
    return tmp_path_factory.mktemp("downloads")


@pytest.fixture(scope="session")
def browser(downloads):
    assert PAGES.is_file(), "the interface is not built: run `make ui`"
    os.environ.setdefault("NO_PROXY", "127.0.0.1")
    with chromium(downloads) as found:
        yield found


@pytest.fixture(scope="session")
def room():
    found = Room()
    yield found
    found.close()


@pytest.fixture
def server(tmp_path):
    """A server as a user would start it, that can be stopped and started again."""
    found = Server(tmp_path / "data")
    found.start()
    yield found
    found.stop()


@pytest.fixture(scope="session")
def empty_database(tmp_path_factory):
    """An empty workshop, made once."""
    made = tmp_path_factory.mktemp("empty") / "fuseau.db"
    open_database(made).dispose()
    return made


def opened(browser, room, database, data) -> Hand:
    """A user in front of a copy of a workshop, with nothing left of the test before, and no page open yet."""
    copied(database, data)
    # A page of the same address leaves the one before and keeps the browser's process, with all that it has compiled.
    browser.get(f"{room.url}/api/house" if room.is_open else "about:blank")
    room.open(data)
    browser.execute_cdp_cmd(
        "Storage.clearDataForOrigin", {"origin": room.url, "storageTypes": "local_storage,indexeddb"}
    )
    return Hand(browser, room.url)


@pytest.fixture
def hand(browser, room, empty_database, tmp_path):
    return opened(browser, room, empty_database, tmp_path / "data")


@pytest.fixture
def demo_hand(browser, room, demo_database, tmp_path):
    return opened(browser, room, demo_database, tmp_path / "demo")


@pytest.hookimpl(hookwrapper=True)
def pytest_runtest_makereport(item, call):
    """Keep a picture of the page when a browser test fails, beside pytest's own temporary folders."""
    outcome = yield
    report = outcome.get_result()
    if report.when == "call" and report.failed and "browser" in item.funcargs:
        path = item.config._tmp_path_factory.getbasetemp() / f"{item.name[:60].replace('/', '-')}.png"
        item.funcargs["browser"].save_screenshot(str(path))
        report.sections.append(("picture", str(path)))


@pytest.fixture
def photo(tmp_path):
    """A photo of a laced back, seen at a slant."""
    target = tmp_path / "back.png"
    drawn(tilted).save(target)
    return target
