"""What was planned of each open build, kept so that an edit re-plans only what it touches."""

import threading
from collections import OrderedDict
from dataclasses import dataclass, field

from fuseau.app.answers import JsonCache
from fuseau.planning.cache import StageCache

_OPEN_BUILDS = 12


@dataclass
class BuildCaches:
    """The stages of one open build's plan with their lock, and what was answered last."""

    edits: StageCache = field(default_factory=StageCache)
    answers: JsonCache = field(default_factory=JsonCache)
    planning: threading.Lock = field(default_factory=threading.Lock)


class Caches:
    """The caches of the builds that were open last. For any number of threads."""

    def __init__(self) -> None:
        self._builds: OrderedDict[str, BuildCaches] = OrderedDict()
        self._guard = threading.Lock()

    def of(self, build_id: str) -> BuildCaches:
        """The caches of a build; those of the builds that were open longest ago go."""
        with self._guard:
            caches = self._builds.pop(build_id, None) or BuildCaches()
            self._builds[build_id] = caches
            while len(self._builds) > _OPEN_BUILDS:
                self._builds.popitem(last=False)
            return caches
