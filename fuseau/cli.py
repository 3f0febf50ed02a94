"""The command line: fuseau serve | demo | plan | print | check FILE | backup | restore FILE | recover."""

import datetime
import gc
import json
import os
import sys
import threading
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from types import FrameType
from typing import Annotated

import typer

from fuseau.app.settings import Settings
from fuseau.craft.base.lengths import Unit
from fuseau.files.paper import Paper
from fuseau.files.prints import Print

main = typer.Typer(
    no_args_is_help=True,
    add_completion=False,
    pretty_exceptions_enable=False,
    help="Fuseau: from measures to a corset that fits.",
)

Port = Annotated[int, typer.Option(help="Port on 127.0.0.1.", min=1, max=65535)]
Data = Annotated[Path, typer.Option(help="Folder of the database.")]
BuildFile = Annotated[Path, typer.Argument(help="A *.fuseau.json file.", exists=True, dir_okay=False)]
OpenRoom = Annotated[bool, typer.Option("--room", help="Open it to the devices of your network, each let in by code.")]
UnitName = Annotated[Unit, typer.Option(help="Unit of the sentences.")]
PaperName = Annotated[Paper, typer.Option(help="Paper to print on.")]

_USUAL = Settings()


@main.command()
def serve(port: Port = _USUAL.port, data: Data = _USUAL.data, room: OpenRoom = False) -> None:
    """Serve your workshop."""
    settings = Settings(port=port, data=data)
    with _held(settings):
        _serve(settings, room)


@main.command()
def demo(port: Port = _USUAL.port, data: Data = Path("data/demo"), room: OpenRoom = False) -> None:
    """Serve the demo workshop, made anew if the folder has none."""
    settings = Settings(port=port, data=data, demo=True)
    from fuseau.demo.workshop import fill

    with _held(settings):
        fill(settings.database)
        _serve(settings, room)


@main.command()
def backup(
    file: Annotated[Path, typer.Argument(help="Where to; it gets the ending .fuseau-backup if it has none.")],
    data: Data = _USUAL.data,
    over: Annotated[bool, typer.Option("--over", help="Write over a file that is there.")] = False,
) -> None:
    """Write everything into one file: builds with their histories, pictures, wearers, settings."""
    from fuseau.store.backup import ENDING, write_backup

    target = file if file.suffix else file.with_name(file.name + ENDING)
    with _telling():
        if target.exists() and not over:
            raise _stop(f"{target} is there already: choose another name, or write over it with --over.")
        found = write_backup(Settings(data=data).database, target)
    typer.echo(
        f"{target}: {found.builds} builds with {found.changes} changes, {found.wearers} wearers, {found.pictures} "
        f"pictures; {target.stat().st_size / 1e6:.1f} MB, read back and whole."
    )


@main.command()
def restore(
    file: Annotated[Path, typer.Argument(help="A *.fuseau-backup file.", exists=True, dir_okay=False)],
    data: Data = _USUAL.data,
    replace: Annotated[bool, typer.Option("--replace", help="Put it in the place of what is there.")] = False,
    yes: Annotated[bool, typer.Option("--yes", help="Do not ask before replacing.")] = False,
) -> None:
    """Bring a backup in beside what is there, or in its place."""
    from fuseau.app.work import check_kept
    from fuseau.store.backup import look_into, replace_with, restore_beside, unfit_in
    from fuseau.store.opening import open_database

    settings = Settings(data=data)
    with _held(settings, "fuseau restore"):
        found = look_into(file)
        present = None if replace else open_database(settings.database)
        for unfit in unfit_in(file, check_kept, present):
            typer.echo(f"{unfit.name} would come in closed: {unfit.why}")
        if replace:
            there = settings.database.exists()
            if there and not yes:
                typer.confirm(f"Put {found.builds} builds in the place of the workshop in {data}?", abort=True)
            aside = replace_with(file, settings.database)
            typer.echo(f"{found.builds} builds are back." + (f" What was there is now {aside}." if aside else ""))
            return
        came = restore_beside(file, present or open_database(settings.database))
    typer.echo(
        f"{came.builds} builds came in, {came.beside} beside another state of themselves, {came.here_already} were "
        f"here already; {came.wearers} wearers, {came.pictures} pictures."
    )


@main.command()
def recover(data: Data = _USUAL.data) -> None:
    """Put the newest good copy in the place of a damaged database, which is set aside."""
    from fuseau.store.copies import recover as take_newest
    from fuseau.store.opening import DamagedDatabase, look_at

    settings = Settings(data=data)
    with _held(settings, "fuseau recover"):
        try:
            if look_at(settings.database) is not None:
                raise _stop(f"{settings.database} is whole: there is nothing to recover.")
        except DamagedDatabase:
            pass
        copy, aside = take_newest(settings.database)
    typer.echo(f"Your workshop is as it was on {copy.made_at:%d %B, %H:%M} ({copy.path.name}).")
    if aside:
        typer.echo(f"The damaged file is {aside}: keep it until you miss nothing.")


@main.command()
def plan(
    file: BuildFile,
    unit: UnitName = "cm",
    today: Annotated[
        datetime.datetime | None, typer.Option(formats=["%Y-%m-%d"], help="Work from this day on.")
    ] = None,
) -> None:
    """Print the plan of a build as JSON, with its steps, their order, and the days by the usual hours."""
    from fuseau.craft.making.hours import Hours
    from fuseau.document.shelf import Shelf
    from fuseau.planning.asked.readiness import ready
    from fuseau.planning.pipeline import plan as make_plan
    from fuseau.planning.stages.make import known_rates, make_up
    from fuseau.planning.workshop.schedule import AtWork, plan_work
    from fuseau.wording import Words

    build, context = _read(file), Words(unit).context
    planned = make_plan(build).model_copy(update={"readiness": ready(build)})
    known = known_rates([build])
    day = today.date() if today else datetime.date.today()
    work = plan_work([AtWork("build", build, planned)], Shelf(), Hours(), day, known)
    shown = {
        **planned.model_dump(mode="json", context=context),
        "make": make_up(build, planned, known).model_dump(mode="json", context=context),
        "schedule": work.schedule.model_dump(mode="json", context=context),
        "odds": [odd.model_dump(mode="json") for odd in work.odds],
    }
    typer.echo(json.dumps(shown, indent=1, ensure_ascii=False))


@main.command("print")
def print_files(
    file: BuildFile,
    into: Annotated[Path, typer.Option(help="Folder for what is printed.")] = Path("."),
    paper: PaperName = "a4",
    unit: UnitName = "cm",
) -> None:
    """Write the pattern (PDF, SVG, DXF) and the list of a build."""
    from fuseau.files.prints import print_of
    from fuseau.planning.pipeline import plan as make_plan
    from fuseau.wording import Words

    build = _read(file)
    planned = make_plan(build)
    if planned.pattern is None:
        typer.echo("\n".join(Words(unit)(finding.sentence) for finding in planned.findings), err=True)
        raise typer.Exit(1)
    into.mkdir(parents=True, exist_ok=True)
    stem = file.name.removesuffix(".json").removesuffix(".fuseau")
    prints: tuple[tuple[str, Print], ...] = (
        (f"pattern-{paper}.pdf", "pattern.pdf"),
        ("pattern.svg", "pattern.svg"),
        ("pattern.dxf", "pattern.dxf"),
        ("list.pdf", "list.pdf"),
    )
    for name, what in prints:
        target = into / f"{stem}-{name}"
        target.write_bytes(print_of(what, build, planned, paper, unit))
        typer.echo(str(target))


@main.command()
def check(file: BuildFile) -> None:
    """Say whether a file is a usable build, and if not what is wrong and where."""
    build = _read(file)
    typer.echo(f"{file.name}: a usable build, “{build.brief.name}”, {len(build.versions)} pattern versions.")


@main.command(hidden=True)
def schema(which: Annotated[str, typer.Argument(help="build or openapi")]) -> None:
    """Print the JSON Schema of the build file, or the OpenAPI document."""
    if which == "build":
        from fuseau.files.document import document_schema

        found = document_schema()
    else:
        import tempfile

        from fuseau.app.server import make_app

        with tempfile.TemporaryDirectory() as folder:
            found = make_app(Settings(data=Path(folder)), describing=True).openapi()
    typer.echo(json.dumps(found, indent=1, ensure_ascii=False))


def _read(file: Path):  # type: ignore[no-untyped-def]
    """The build in a file, as an import takes it in: read, and planned to an answer."""
    from fuseau.files.document import LARGEST_BYTES
    from fuseau.files.intake import take_in
    from fuseau.files.unreadable import UnreadableFile

    try:
        with file.open("rb") as handle:
            taken = take_in(handle.read(LARGEST_BYTES + 1))
    except UnreadableFile as error:
        typer.echo(f"{file.name}: {error.sentence}", err=True)
        for fault in error.faults[1:]:
            typer.echo(f"  {fault.at}: {fault.sentence}", err=True)
        raise typer.Exit(1) from None
    for name in taken.left_out:
        typer.echo(f"{file.name}: the picture “{name}” is missing or damaged, and is left out.", err=True)
    return taken.build


def _stop(sentence: str) -> typer.Exit:
    typer.echo(sentence, err=True)
    return typer.Exit(1)


@contextmanager
def _telling() -> Iterator[None]:
    """What can't be opened or written ends in one sentence and 1."""
    from sqlalchemy.exc import SQLAlchemyError

    from fuseau.store.opening import UnusableDatabase, why_not

    try:
        yield
    except UnusableDatabase as error:
        raise _stop(str(error)) from None
    except (SQLAlchemyError, OSError) as error:
        said = why_not(error)
        if said is None:
            raise
        raise _stop(f"This did not work: {said}") from None


@contextmanager
def _held(settings: Settings, what: str | None = None) -> Iterator[None]:
    """The folder held, so that no other Fuseau writes to it; what can't be opened is told."""
    from fuseau.store.copies import newest_good_copy
    from fuseau.store.holding import hold
    from fuseau.store.opening import DamagedDatabase, clear_parts

    os.umask(0o077)  # what is kept is nobody else's to read
    with _telling(), hold(settings.data, what or f"http://{settings.host}:{settings.port}"):
        try:
            clear_parts(settings.database)
            yield
        except DamagedDatabase as error:
            copy = newest_good_copy(settings.database)
            offered = (
                f"The newest good copy is of {copy.made_at:%d %B, %H:%M}: “fuseau recover --data {settings.data}” goes "
                "on from it and keeps the damaged file."
                if copy
                else "There is no good copy of it. If you have a backup: fuseau restore FILE --replace."
            )
            raise _stop(f"{error} {offered}") from None


def _serve(settings: Settings, room: bool = False) -> None:
    gc.disable()  # what is imported stays: looked through once, and by no later collection again
    import uvicorn

    from fuseau.app.connections import OF_LAPTOP, OF_ROOM, Attended, Connections, allow_connections
    from fuseau.app.server import make_app
    from fuseau.craft.base.errors import Unmakeable
    from fuseau.wording import Words

    gc.freeze()
    gc.enable()
    app = make_app(settings)
    connections = Connections(OF_LAPTOP)
    try:
        listening = connections.listener(settings.host, settings.port)
    except OSError as error:
        raise _stop(f"Port {settings.port} can't be used ({error.strerror}): choose another one with --port.") from None
    allow_connections(OF_LAPTOP, OF_ROOM)
    typer.echo(f"Fuseau is at http://127.0.0.1:{settings.port}  (Ctrl+C stops it)")
    if room:
        try:
            app.state.room.start(app)
        except Unmakeable as error:
            raise _stop(Words("cm")(error.message)) from None
        typer.echo(f"Its room is at {', '.join(app.state.room.urls)}: let devices in from the settings.")
    sys.stdout.flush()

    class Stoppable(uvicorn.Server):
        """Told to stop, it first ends what is still worked out for some page, which then hears so."""

        def handle_exit(self, sig: int, frame: FrameType | None) -> None:
            app.state.session.news.close()
            threading.Thread(target=app.state.workers.stop_all).start()
            super().handle_exit(sig, frame)

    config = uvicorn.Config(
        Attended(app, connections, everyone=True),
        log_level="warning",
        access_log=False,
        proxy_headers=False,
        loop="asyncio",
    )
    Stoppable(config).run(sockets=[listening])
