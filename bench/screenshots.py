"""Pictures of the main views at 1280x800 from the demo data, for docs/screenshots (or a folder given)."""

import sys
import tempfile
from pathlib import Path

import httpx

from tests.ui.driving import Hand, Server, chromium

FOLDER = Path("docs/screenshots")
VIEWS = (
    ("workshop", None, None),
    ("brief", "Lamplighter Regent", "brief"),
    ("wearer", "Lamplighter Regent", "wearer"),
    ("pattern", "Lamplighter Regent", "pattern"),
    ("mockups", "Underclock mender", "mockups"),
    ("fitting", "Lamplighter Regent", "mockups"),
    ("body", "Lamplighter Regent", "mockups"),
    ("bones", "Lamplighter Regent", "bones"),
    ("front", "Lamplighter Regent", "front"),
    ("back", "Lamplighter Regent", "back"),
    ("layers", "Lamplighter Regent", "layers"),
    ("trims", "Beekeeper General", "trims"),
    ("cut", "Beekeeper General", "cut"),
    ("make", "Tinder archivist", "make"),
    ("today", None, "today"),
    ("record", "Saltmarsh warden", "record"),
    ("cards", None, "cards"),
    ("shelf", None, "shelf"),
    ("shopping", None, "shopping"),
)


def main(folder: Path, only: list[str]) -> None:
    """Take the pictures."""
    folder.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory() as data, chromium() as browser:
        server = Server(Path(data), "demo")
        server.start()
        try:
            hand = Hand(browser, server.url)
            ids = {
                line["name"]: line["id"]
                for kept in ("false", "true")
                for line in httpx.get(f"{server.url}/api/builds?archived={kept}").json()
            }
            for view, build, stage in VIEWS:
                if only and view not in only:
                    continue
                hand.go(f"/build/{ids[build]}/{stage}" if build else f"/{stage or ''}")
                hand.find("h1" if build or stage else ".line")
                if stage == "mockups":
                    hand.find(".odds")
                if view == "fitting":
                    hand.press("Correct it")
                    hand.find(".views svg")
                if view == "body":
                    hand.press("On the body")
                    hand.find("[data-canvas]")
                    hand.wait(lambda: not hand.all(".pane[aria-busy=true]"))
                if stage == "bones":
                    hand.find(".schools")
                if view == "brief":
                    hand.press("As drawn?")
                    hand.see("Its lines")
                if view == "cards":
                    hand.click('[aria-label="compare Pendulum wright"]')
                    hand.click('[aria-label="compare Saltmarsh warden"]')
                    hand.see("differs by")
                if view == "layers":
                    hand.click("[data-ply-row='2']")
                    hand.press("Methods side by side")
                    hand.see("lets out")
                if view == "trims":
                    hand.click("[data-trim-row='amber beads']")
                    hand.see("Stop at the seam")
                if view == "cut":
                    hand.press("cotton sateen")
                    hand.see("are lacking")
                    hand.press("What would help?")
                    hand.see("then it is enough")
                    hand.wait(lambda: not hand.all("[aria-label='Laying the pieces']"))
                if view == "make":
                    hand.find(".odds")
                if view == "today":
                    hand.find("[data-day]")
                    hand.wait(lambda: not hand.all(".thinking"))
                if view == "shelf":
                    hand.see("under way")
                if view == "shopping":
                    hand.find("[data-buy='spiral_6']")
                    hand.click("[data-buy='spiral_6'] input")
                    hand.wait(lambda: not hand.all(".thinking"))
                browser.execute_script("return document.fonts.ready")
                hand.picture(folder / f"{view}.png")
                print(folder / f"{view}.png")
        finally:
            server.stop()


if __name__ == "__main__":
    main(Path(sys.argv[1]) if len(sys.argv) > 1 else FOLDER, sys.argv[2:])
