"""Pictures of the main views at 1280x800 from the demo data, for docs/screenshots (or a folder given)."""

import io
import sys
import tempfile
from pathlib import Path

import httpx
from PIL import Image

from tests.ui.driving import STAGES, Hand, Server, chromium

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
            in_use = {"known": list(STAGES[:-1])}  # no stage says any more what it is for
            httpx.patch(f"{server.url}/api/house", json=in_use).raise_for_status()
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
            if not only or "phone" in only:
                _on_a_phone(folder, server.url, ids["Lamplighter Regent"])
        finally:
            server.stop()


def _on_a_phone(folder: Path, url: str, build: str) -> None:
    """Two pages as a phone shows them, beside each other: a fitting, and the next step."""
    shots = []
    with chromium(width=390, height=844, phone=True) as browser:
        hand = Hand(browser, url)
        for stage, seen in (("mockups", ".views svg"), ("make", ".odds")):
            hand.go(f"/build/{build}/{stage}")
            if stage == "mockups":
                hand.press("Log a fitting")
            hand.find(seen)
            browser.execute_script("return document.fonts.ready")
            shots.append(Image.open(io.BytesIO(browser.get_screenshot_as_png())).convert("RGB"))
    both = Image.new("RGB", (sum(one.width for one in shots) + 20, shots[0].height), "#c4cdd3")
    both.paste(shots[0], (0, 0))
    both.paste(shots[1], (shots[0].width + 20, 0))
    both.save(folder / "phone.png")
    print(folder / "phone.png")


if __name__ == "__main__":
    main(Path(sys.argv[1]) if len(sys.argv) > 1 else FOLDER, sys.argv[2:])
