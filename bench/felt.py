"""How fast it feels: from a key to the page redrawn, edit by edit; pictures a second while a point is dragged.

`python -m bench.felt` runs it alone. Figures of one run on one machine; compare within a run.
"""

import statistics
import tempfile
from pathlib import Path
from typing import Any

from fuseau.app.settings import Settings
from fuseau.demo.workshop import fill
from tests.ui.driving import Hand, Server, chromium

BUILD = "Lamplighter Regent"
# stage, the field by its label, and two values it goes to and fro between
FIELDS: tuple[tuple[str, str, float, float], ...] = (  # stage, field by its label, from where, and by how much on
    ("wearer", "Waist girth, reading 1", 70.3, 0.1),
    ("wearer", "Underbust, height at the side", 9.2, 0.1),
    ("pattern", "gap wanted", 45, 1),
    ("pattern", "or by", 5.1, 0.1),
    ("back", "pitch wished", 25, 1),
)
_EDIT = """
const [label, value, done] = arguments
const shown = (one) => one.checkVisibility()
let began
const aloud = document.querySelector('[data-aloud]'), before = aloud.textContent
const watch = new MutationObserver(() => {
  watch.disconnect()
  // what is posted from within a frame comes once that frame is painted
  requestAnimationFrame(() => {
    const painted = new MessageChannel()
    painted.port1.onmessage = () => done(performance.now() - began)
    painted.port2.postMessage(0)
  })
})
aloud.textContent = ''
watch.observe(aloud, { childList: true, characterData: true, subtree: true })
const input = [...document.querySelectorAll('input')].filter(shown)
  .find((one) => one.getAttribute('aria-label') === label || one.labels?.[0]?.textContent.trim() === label)
if (!input) return done(-1)
input.focus()
Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(input, value)
input.dispatchEvent(new Event('input', { bubbles: true }))
began = performance.now()
input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
"""
_DRAG = """
const done = arguments[0], handle = document.querySelector('[data-handle^=top]')
handle.setPointerCapture = () => {}
const box = handle.getBoundingClientRect(), x = box.x + box.width / 2, y = box.y + box.height / 2
const by = (type, dy) => handle.dispatchEvent(new PointerEvent(type, {
  clientX: x, clientY: y + dy, bubbles: true, pointerId: 1 }))
by('pointerdown', 0)
const frames = []
const began = performance.now()
const step = (now) => {
  frames.push(now)
  by('pointermove', 24 * Math.sin(frames.length / 9))
  if (now - began < 3000) return requestAnimationFrame(step)
  by('pointermove', 0)
  by('pointerup', 0)
  const gaps = frames.slice(1).map((at, i) => at - frames[i]).sort((a, b) => a - b)
  done([1000 * gaps.length / (frames.at(-1) - frames[0]), gaps[Math.floor(0.95 * gaps.length)]])
}
requestAnimationFrame(step)
"""
TIMES = 8


def felt(hand: Hand, say: Any) -> None:
    """Every edit there and back, some times, and a drag of the top line."""
    hand.browser.set_script_timeout(20)
    at = ""
    for stage, label, start, step in FIELDS:
        if stage != at:
            hand.stage(BUILD, stage)
            hand.find("h1")
            at = stage
        # always a value that was not there before: what was worked out once is kept
        took = [float(hand.browser.execute_async_script(_EDIT, label, f"{start + i * step:g}")) for i in range(TIMES)]
        say(f"{stage}, {label}", statistics.median(took), "ms", "< 150", max(took))
    hand.stage(BUILD, "pattern")
    hand.find("[data-handle^=top]")
    rate, slow = hand.browser.execute_async_script(_DRAG)
    say("pictures while the top line is dragged", rate, "/s", "60", None)
    say("the slowest of twenty such pictures", slow, "ms", "< 17", None)
    line = hand.build(BUILD)
    size = len(hand.api.get(f"/api/builds/{line['id']}").content)
    say("an open build, as it is answered", size / 1000, "kB", "-", None)


def main() -> None:
    """Run it on the demo workshop."""
    from bench.speed import say

    with tempfile.TemporaryDirectory() as data:
        fill(Settings(data=Path(data)).database)
        server = Server(Path(data))
        server.start()
        try:
            with chromium() as browser:
                felt(Hand(browser, server.url), say)
        finally:
            server.stop()


if __name__ == "__main__":
    main()
