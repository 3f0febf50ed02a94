"""Driving the real interface: a server on a free port, and headless Chromium at 1280x800."""

import datetime
import http.client
import os
import subprocess
import sys
import tempfile
import time
from collections.abc import Iterator
from contextlib import contextmanager
from functools import cache
from pathlib import Path
from typing import Any

import httpx
from selenium import webdriver
from selenium.common.exceptions import JavascriptException
from selenium.webdriver.chrome.options import Options
from selenium.webdriver.chrome.service import Service
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.remote.webelement import WebElement
from selenium.webdriver.support.ui import WebDriverWait

from tests.serving import free_port

# One process for all pages of a browser, few threads in it, and no page kept after it was left: two cores serve two.
_LEAN = (
    "--disable-back-forward-cache",
    "--disable-features=RenderDocument",
    "--in-process-gpu",
    "--js-flags=--single-threaded-gc --min-semi-space-size=32 --max-semi-space-size=64 --initial-old-space-size=300"
    " --no-maglev --no-turbofan",  # a page is looked at for seconds: no machine code pays for itself
)
STILL = [{"name": "prefers-reduced-motion", "value": "reduce"}]
PATIENCE = 90  # odds are worked out by a process that yields to everything else
_WATCH = """
const [text, wanted, patience, done] = arguments
const plain = (all) => all.replace(/\\s+/g, ' ')
const heard = () => document.querySelector('[data-aloud]')?.innerText || '\\0' // said, and not seen
const seen = () => document.body.innerText.replace(heard(), '')
const shown = () => seen().includes(text) // it lays the page out: asked only where it may be so
const holds = () => (plain(document.body.textContent).includes(plain(text)) && shown()) === wanted
let [over, asked] = [false, false]
const end = (found) => {
  if (over) return
  over = true
  watch.disconnect()
  clearTimeout(late)
  done(found)
}
const ask = () => {
  asked = false
  if (!over && holds()) end(true)
}
const watch = new MutationObserver(() => {
  if (!asked) asked = !!setTimeout(ask, 20)
})
const late = setTimeout(() => end(shown() === wanted), patience)
watch.observe(document, { subtree: true, childList: true, characterData: true, attributes: true })
ask()
"""


_SHOWN = """
const shown = (one) => one.getClientRects().length > 0 && one.checkVisibility({ visibilityProperty: true })
"""
_FIRST = f"{_SHOWN} return [...document.querySelectorAll(arguments[0])].find(shown) ?? null"
_FIRST_OF_PATH = f"""{_SHOWN}
const found = document.evaluate(arguments[0], document, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE, null)
for (let i = 0; i < found.snapshotLength; i++)
  if (shown(found.snapshotItem(i))) {{
    if (arguments[1]) found.snapshotItem(i).scrollIntoView({{ block: 'center' }})
    return found.snapshotItem(i)
  }}
return null
"""

# A click that falls beside what it was for, because the page moved under it, is told.
_LISTEN = """
window.missed = true
arguments[0].addEventListener('click', () => { window.missed = false }, { capture: true, once: true })
"""


# By the address, as a link does it: what was the head of the page is gone when the other one stands.
_LEFT = "window.left = document.querySelector('main h1'); return !!window.left && location.pathname !== arguments[0]"
_WALK = "history.pushState(null, '', arguments[0]); dispatchEvent(new PopStateEvent('popstate', { state: null }))"
_CAME = "const head = document.querySelector('main h1'); return !!head && head !== window.left"

STAGES = ("brief", "wearer", "pattern", "mockups", "bones", "front", "back", "layers", "trims", "cut", "make", "record",
          "numbers")  # fmt: skip

_RED = """
const red = 'rgb(180, 50, 94)'
return [...document.querySelectorAll('main *')].filter((one) => {
  const style = getComputedStyle(one)
  if (!one.getClientRects().length) return false
  const said = style.color === red && [...one.childNodes].some((node) => node.nodeType === 3 && node.textContent.trim())
  return said || (style.borderLeftColor === red && style.borderLeftWidth !== '0px')
}).map((one) => one.textContent.trim().slice(0, 80))
"""


_FOR_FINGERS = """
const root = document.querySelector(arguments[0])
const shown = (one) => one.checkVisibility({ visibilityProperty: true }) && one.getBoundingClientRect().width > 0
const field = (one) => one.closest('label') ?? one.closest('.v-field, .v-selection-control, .unit-box') ?? one
const acts = 'button, a[href], input:not([type=file], [type=hidden]), select, [role=button], [role=menuitem], summary'
const small = [...root.querySelectorAll(acts)].filter(shown).filter((one) => !one.ownerSVGElement).map((one) => {
  const inText = one.tagName === 'A' && getComputedStyle(one).display === 'inline'
  const box = (one.matches('input, select') ? field(one) : one).getBoundingClientRect()
  const word = (one.innerText || one.getAttribute('aria-label') || one.className).toString().slice(0, 40)
  return inText || (box.width > 43.5 && box.height > 43.5) ? '' : `${word}: ${box.width} by ${box.height}`
})
const fine = [...root.querySelectorAll('*')].filter(shown).map((one) => {
  if (![...one.childNodes].some((node) => node.nodeType === 3 && node.textContent.trim())) return ''
  const to = one.ownerSVGElement ? one.getScreenCTM() : { a: 1, b: 0 }
  const size = parseFloat(getComputedStyle(one).fontSize) * Math.hypot(to.a, to.b)
  return size < 11.9 && getComputedStyle(one).clipPath === 'none' ? `${one.textContent.slice(0, 40)}: ${size} px` : ''
})
return [...small, ...fine].filter(Boolean)
"""


class Server:
    """`fuseau serve` or `fuseau demo` as a user would start it."""

    def __init__(self, data: Path, command: str = "serve", port: int | None = None) -> None:
        self.port = port or free_port()
        self.url = f"http://127.0.0.1:{self.port}"
        self._args = [sys.executable, "-m", "fuseau", command, "--port", str(self.port), "--data", str(data)]
        self._process: subprocess.Popen[bytes] | None = None

    def start(self) -> float:
        """Start, and return the seconds until the first answer."""
        began = time.perf_counter()
        self._process = subprocess.Popen(self._args, stdout=subprocess.DEVNULL, env={**os.environ})
        while time.perf_counter() - began < 30:
            connection = http.client.HTTPConnection("127.0.0.1", self.port, timeout=5)
            try:
                connection.request("GET", "/api/house")
                if connection.getresponse().status == 200:
                    return time.perf_counter() - began
            except OSError:
                if self._process.poll() is not None:
                    break
            finally:
                connection.close()
        raise RuntimeError("the server did not start")

    def memory_mb(self) -> float:
        """What the server holds in memory now, MB."""
        assert self._process is not None
        status = Path(f"/proc/{self._process.pid}/status").read_text()
        return int(next(line for line in status.splitlines() if line.startswith("VmRSS")).split()[1]) / 1000

    def stop(self) -> None:
        if self._process:
            self._process.terminate()
            self._process.wait(10)


@contextmanager
def chromium(
    downloads: Path | None = None, width: int = 1280, height: int = 800, *, phone: bool = False
) -> Iterator[webdriver.Chrome]:
    """A browser of its own, with the page truly `width` x `height`; a `phone` is touched.

    A phone's takes a certificate that nobody vouches for, as its user does once she has compared the fingerprint.
    """
    with tempfile.TemporaryDirectory(ignore_cleanup_errors=True) as profile:
        options = Options()
        for flag in (
            "--headless=new",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            *_LEAN,
            f"--user-data-dir={profile}",
        ):
            options.add_argument(flag)
        if downloads:
            options.add_experimental_option("prefs", {"download.default_directory": str(downloads)})
        options.set_capability("goog:loggingPrefs", {"browser": "ALL"})
        options.accept_insecure_certs = phone
        browser = webdriver.Chrome(options=options, service=Service("/usr/bin/chromedriver"))
        metrics = {"width": width, "height": height, "deviceScaleFactor": 1, "mobile": phone}
        browser.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics)
        browser.execute_cdp_cmd("Emulation.setTouchEmulationEnabled", {"enabled": phone})
        browser.execute_cdp_cmd("Emulation.setEmulatedMedia", {"features": STILL})
        try:
            yield browser
        finally:
            browser.quit()


@cache
def _client(url: str) -> httpx.Client:
    """One for each server: to make one takes longer than what it asks."""
    return httpx.Client(base_url=url, timeout=30)


class Hand:
    """What a user does and sees. Every wait is for something on the page."""

    def __init__(self, browser: webdriver.Chrome, url: str) -> None:
        self.browser = browser
        self.url = url
        self.api = _client(url)

    def go(self, path: str = "/") -> None:
        self.browser.get(self.url + path)

    def walk(self, path: str) -> None:
        """Go to a page as a link would, without loading the application again; then its head is another."""
        if not self.browser.execute_script(_LEFT, path):
            self.go(path)
            return
        self.browser.execute_script(_WALK, path)
        self.wait(lambda: self.browser.execute_script(_CAME), f"{path} does not come")

    def build(self, name: str) -> dict[str, Any]:
        """The line of the workshop's list with this name, from the server."""
        return next(line for line in self.api.get("/api/builds").json() if line["name"] == name)

    def stage(self, name: str, where: str) -> dict[str, Any]:
        """Open a stage of the build with this name."""
        line = self.build(name)
        self.go(f"/build/{line['id']}/{where}")
        self.see(name)
        return line

    @contextmanager
    def without_news(self) -> Iterator[None]:
        """Pages that are opened here hear nothing of what is done elsewhere."""
        self.browser.execute_cdp_cmd("Network.enable", {})
        self.browser.execute_cdp_cmd("Network.setBlockedURLs", {"urls": ["*/api/events"]})
        try:
            yield
        finally:
            self.browser.execute_cdp_cmd("Network.setBlockedURLs", {"urls": []})
            self.browser.execute_cdp_cmd("Network.disable", {})

    def sheet(self, line: dict[str, Any]) -> dict[str, Any]:
        """The build and its plan, from the server."""
        found: dict[str, Any] = self.api.get(f"/api/builds/{line['id']}").json()
        return found

    def wait(self, condition, message: str = ""):  # type: ignore[no-untyped-def]
        return WebDriverWait(self.browser, PATIENCE, poll_frequency=0.05, ignored_exceptions=(Exception,)).until(
            lambda _: condition(), message
        )

    def see(self, text: str) -> None:
        """Wait until the text stands on the page."""
        assert self._stands(text, True), f"“{text}” is not on the page"

    def gone(self, text: str) -> None:
        """Wait until the text stands on the page no more."""
        assert self._stands(text, False), f"“{text}” is still on the page"

    def _stands(self, text: str, wanted: bool) -> bool:
        """Whether the text comes to stand there (or to go) in time; the page itself tells when it changes."""
        self.browser.set_script_timeout(PATIENCE + 5)
        while True:
            try:
                return bool(self.browser.execute_async_script(_WATCH, text, wanted, PATIENCE * 1000))
            except JavascriptException:  # another page came while this one was watched
                continue

    def text(self) -> str:
        """What stands on the page, as it is rendered."""
        return str(self.browser.execute_script("return document.body.innerText"))

    def find(self, css: str) -> WebElement:
        """Wait until it is shown."""
        found: WebElement = self.wait(lambda: self.browser.execute_script(_FIRST, css), f"{css} is not shown")
        return found

    def all(self, css: str) -> list[WebElement]:
        return list(self.browser.find_elements(By.CSS_SELECTOR, css))

    def click(self, css: str) -> None:
        self.wait(lambda: self._clicked(self.find(css)), f"{css} cannot be clicked")

    def _clicked(self, what: WebElement) -> bool:
        """Click it, and whether it was it that was clicked: what moves just then is missed."""
        self.browser.execute_script(_LISTEN, what)
        what.click()
        return not self.browser.execute_script("return window.missed")

    def press(self, words: str) -> None:
        """Click the button, link or list item with these words."""
        path = (
            "//*[self::button or self::a or self::summary or @role='option' or @role='menuitem' "
            "or contains(@class,'v-list-item')]"
            f'[normalize-space()="{words}" or @aria-label="{words}" or .//*[normalize-space()="{words}"]]'
        )

        def click() -> bool:
            return self._clicked(self.browser.execute_script(_FIRST_OF_PATH, path, True))

        self.wait(click, f"there is no “{words}” to press")

    def choose(self, label: str, option: str) -> None:
        """Choose in the list with this label."""
        path = f'//input[@id=//label[normalize-space()="{label}"]/@for]/ancestor::*[contains(@class, "v-field")][1]'
        field = self.wait(lambda: self.browser.execute_script(_FIRST_OF_PATH, path, True), f"no list “{label}”")
        field.click()
        self.press(option)

    def see_in(self, css: str, text: str) -> None:
        """Wait until this text is shown there."""
        self.wait(lambda: text in self.find(css).text, f"“{text}” is not in {css}")

    def field(self, label: str) -> WebElement:
        """The input with this label or accessible name."""
        path = f'//input[@aria-label="{label}" or @id=//label[normalize-space()="{label}"]/@for]'
        return self.wait(lambda: self.browser.execute_script(_FIRST_OF_PATH, path, False), f"no field “{label}”")

    def write(self, label: str, text: str, leave: bool = True) -> None:
        """Write into a field, and leave it as with Tab."""
        keys = [Keys.CONTROL, "a", Keys.NULL, text or Keys.DELETE]
        self.field(label).send_keys(*keys, *([Keys.TAB] if leave else []))

    def write_day(self, label: str, day: datetime.date) -> None:
        """Write a day into a field for one, in whichever order the browser asks for its parts."""
        field = self.field(label)
        self.browser.execute_script(
            "arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('input', { bubbles: true }))",
            field,
            day.isoformat(),
        )

    def choose_file(self, label: str, path: Path) -> None:
        """Choose a file in the file field with this name."""
        css = f'input[type=file][aria-label="{label}"]'
        self.wait(lambda: self.all(css), f"no file field “{label}”")
        self.all(css)[0].send_keys(str(path))

    def value(self, label: str) -> str:
        return str(self.field(label).get_property("value"))

    def violations(self, *rules: str, within: str = "html") -> list[tuple[str, list[str]]]:
        """What axe finds wrong with the page as it stands: rule and first places; all rules, or only these."""
        self.wait(lambda: not self.all(".v-ripple__animation"))  # it lies over what is below it
        axe = Path("ui/node_modules/axe-core/axe.min.js").read_text()
        self.browser.execute_cdp_cmd("Runtime.evaluate", {"expression": f"window.axe || (() => {{ {axe} }})()"})
        found = self.browser.execute_async_script(
            "const [rules, within, done] = arguments;"
            "axe.run(within, {resultTypes: ['violations'], ...(rules.length && {runOnly: rules})})"
            ".then((r) => done(r.violations))",
            rules,
            within,
        )
        return [(one["id"], [str(node["target"]) for node in one["nodes"]][:3]) for one in found]

    def too_small_for_fingers(self, within: str = ".v-application") -> list[str]:
        """What acts and is less than 44 px either way, and text below 12 px."""
        return list(self.browser.execute_script(_FOR_FINGERS, within))

    def picture(self, path: Path) -> None:
        self.browser.save_screenshot(str(path))


def said_in_red(hand: Hand) -> list[str]:
    """What stands on the page in the colour of alarms, by day."""
    return list(hand.browser.execute_script(_RED))
