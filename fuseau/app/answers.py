"""Answers as JSON: large records written field by field, each field again only where it is another object."""

from pydantic import BaseModel

from fuseau.wording import Words

_Written = dict[tuple[type[BaseModel], str], tuple[object, str]]


class JsonCache:
    """The JSON of the fields of the last records written, in one unit.

    Records are frozen and what the stages return is kept, so that after an edit most fields are the very same objects.
    For any number of threads: each entry is put in place whole.
    """

    def __init__(self) -> None:
        self._kept: tuple[Words, _Written] | None = None

    def write(self, model: BaseModel, words: Words, parted: tuple[str, ...] = ()) -> str:
        """The model as JSON, with its sentences in these words; fields named in `parted` are models written likewise.

        The same as `model.model_dump_json(context=words.context)`.
        """
        kept = self._kept
        if kept is None or kept[0].unit != words.unit:
            kept = self._kept = words, {}
        return self._write(model, *kept, parted)

    def _write(self, model: BaseModel, words: Words, written: _Written, parted: tuple[str, ...] = ()) -> str:
        kind = type(model)
        found = []
        for name in kind.model_fields:
            value = getattr(model, name)
            if name in parted:
                found.append(f'"{name}":{self._write(value, words, written)}')
                continue
            known = written.get((kind, name))
            if known is None or known[0] is not value:
                text = model.model_dump_json(include={name}, context=words.context)[1:-1]
                known = written[kind, name] = value, text
            found.append(known[1])
        return f"{{{','.join(found)}}}"
