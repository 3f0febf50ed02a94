"""Pictures of the main views at 1280x800 from the demo data, for docs/screenshots (or a folder given)."""

import sys
import tempfile
from pathlib import Path

import httpx
from selenium.webdriver.common.keys import Keys

from tests.ui.driving import Hand, Server, chromium

FOLDER = Path("docs/screenshots")
VIEWS = (
    ("workshop", None, None),
    ("brief", "Lamplighter Regent", "brief"),
    ("wearer", "Lamplighter Regent", "wearer"),
    ("pattern", "Lamplighter Regent", "pattern"),
    ("bodice", "Beekeeper General", "pattern"),
    ("collar", "Ash cartographer", "pattern"),
    ("mockups", "Underclock mender", "mockups"),
    ("fitting", "Lamplighter Regent", "mockups"),
    ("story", "Lamplighter Regent", "mockups"),
    ("bones", "Lamplighter Regent", "bones"),
    ("channel", "Lamplighter Regent", "bones"),
    ("cutting", "Beekeeper General", "bones"),
    ("front", "Lamplighter Regent", "front"),
    ("back", "Lamplighter Regent", "back"),
)


def main(folder: Path, only: list[str]) -> None:
    """Take the pictures."""
    folder.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory() as data, chromium() as browser:
        server = Server(Path(data), "demo")
        server.start()
        try:
            hand = Hand(browser, server.url)
            ids = {line["name"]: line["id"] for line in httpx.get(f"{server.url}/api/builds").json()}
            for view, build, stage in VIEWS:
                if only and view not in only:
                    continue
                hand.go(f"/build/{ids[build]}/{stage}" if build else "/")
                hand.find(".line" if build is None else "h1")
                if stage == "mockups":
                    hand.find(".odds")
                if view == "fitting":
                    hand.press("Correct it")
                    hand.find(".views svg")
                if view == "story":
                    hand.press("The story so far")
                    hand.find(".story .girth")
                if stage == "bones":
                    hand.find(".schools")
                if view == "channel":
                    hand.find("[data-channel='3a']").send_keys(Keys.ENTER)
                    hand.find("[data-handle]")
                if view == "cutting":
                    hand.press("Cutting")
                    hand.find(".plan")
                browser.execute_script("return document.fonts.ready")
                hand.picture(folder / f"{view}.png")
                print(folder / f"{view}.png")
        finally:
            server.stop()


if __name__ == "__main__":
    main(Path(sys.argv[1]) if len(sys.argv) > 1 else FOLDER, sys.argv[2:])
