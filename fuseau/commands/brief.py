"""The brief: pictures added to it."""

from fuseau.craft.base.errors import Unmakeable
from fuseau.document.build import Build, Picture

_MOST = 16


def add_picture(build: Build, picture: Picture) -> Build:
    """The build with a picture more in its brief. Raises Unmakeable where it is there already, or they are too many."""
    brief = build.brief
    if any(one.id == picture.id for one in brief.pictures):
        raise Unmakeable("brief.pictures", "picture.here_already")
    if len(brief.pictures) >= _MOST:
        raise Unmakeable("brief.pictures", "picture.most", most=_MOST)
    return build.model_copy(update={"brief": brief.model_copy(update={"pictures": (*brief.pictures, picture)})})
