"""What reading a file from outside raises."""

from fuseau.document.build import Fault


class UnreadableFile(ValueError):
    """A file that can't be used. `sentence` says so plainly; `faults` tell where, if it is a build at all."""

    def __init__(self, sentence: str, found: tuple[Fault, ...] = ()) -> None:
        super().__init__(sentence, found)
        self.sentence = sentence
        self.faults = found

    def __str__(self) -> str:
        return self.sentence
