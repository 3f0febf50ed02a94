"""A browser for the module, and a server with fresh data for each test."""

import os
import sqlite3
from pathlib import Path

import pytest

from fuseau.demo.workshop import fill
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


@pytest.fixture
def server(tmp_path):
    found = Server(tmp_path / "data")
    found.start()
    yield found
    found.stop()


@pytest.fixture(scope="session")
def demo_database(tmp_path_factory):
    """The demo workshop, filled once; each test works on a copy."""
    made = tmp_path_factory.mktemp("demo") / "fuseau.db"
    fill(made)
    return made


@pytest.fixture
def demo(tmp_path, demo_database):
    data = tmp_path / "demo"
    data.mkdir()
    with sqlite3.connect(demo_database) as source, sqlite3.connect(data / "fuseau.db") as copy:
        source.backup(copy)
    found = Server(data)
    found.start()
    yield found
    found.stop()


@pytest.fixture
def hand(browser, server):
    found = Hand(browser, server.url)
    found.go()
    return found


@pytest.fixture
def demo_hand(browser, demo):
    found = Hand(browser, demo.url)
    found.go()
    found.see("Lamplighter Regent")
    return found


@pytest.hookimpl(hookwrapper=True)
def pytest_runtest_makereport(item, call):
    """Keep a picture of the page when a browser test fails, beside pytest's own temporary folders."""
    outcome = yield
    report = outcome.get_result()
    if report.when == "call" and report.failed and "browser" in item.funcargs:
        path = item.config._tmp_path_factory.getbasetemp() / f"{item.name[:60].replace('/', '-')}.png"
        item.funcargs["browser"].save_screenshot(str(path))
        report.sections.append(("picture", str(path)))
