"""The command line: fuseau serve | demo | plan FILE | print FILE | check FILE."""

import gc
import json
import sys
from pathlib import Path
from typing import Annotated

import typer

from fuseau.app.settings import Settings
from fuseau.craft.base.lengths import Unit
from fuseau.files.paper import Paper

main = typer.Typer(no_args_is_help=True, add_completion=False, help="Fuseau: from measures to a corset that fits.")

Port = Annotated[int, typer.Option(help="Port on 127.0.0.1.", min=1, max=65535)]
Data = Annotated[Path, typer.Option(help="Folder of the database.")]
BuildFile = Annotated[Path, typer.Argument(help="A *.fuseau.json file.", exists=True, dir_okay=False)]
UnitName = Annotated[Unit, typer.Option(help="Unit of the sentences.")]
PaperName = Annotated[Paper, typer.Option(help="Paper to print on.")]

_USUAL = Settings()


@main.command()
def serve(port: Port = _USUAL.port, data: Data = _USUAL.data) -> None:
    """Serve your workshop."""
    _serve(Settings(port=port, data=data))


@main.command()
def demo(port: Port = _USUAL.port, data: Data = Path("data/demo")) -> None:
    """Serve the demo workshop, made anew if the folder has none."""
    settings = Settings(port=port, data=data)
    from fuseau.demo.workshop import fill

    fill(settings.database)
    _serve(settings)


@main.command()
def plan(file: BuildFile, unit: UnitName = "cm") -> None:
    """Print the plan of a build as JSON."""
    from fuseau.planning.pipeline import plan as make_plan
    from fuseau.planning.readiness import ready
    from fuseau.wording import Words

    build = _read(file)
    planned = make_plan(build, unit=unit).model_copy(update={"readiness": ready(build)})
    typer.echo(planned.model_dump_json(indent=1, context=Words(unit).context))


@main.command("print")
def print_files(
    file: BuildFile,
    into: Annotated[Path, typer.Option(help="Folder for what is printed.")] = Path("."),
    paper: PaperName = "a4",
    unit: UnitName = "cm",
) -> None:
    """Write the pattern (PDF, SVG, DXF) and the list of a build."""
    from fuseau.files.dxf import pattern_dxf
    from fuseau.files.hardware_list import list_pdf
    from fuseau.files.svg import pattern_svg
    from fuseau.files.tiles import pattern_pdf
    from fuseau.planning.pipeline import plan as make_plan
    from fuseau.wording import Words

    build = _read(file)
    planned = make_plan(build, unit=unit)
    if planned.pattern is None:
        typer.echo("\n".join(Words(unit)(finding.sentence) for finding in planned.findings), err=True)
        raise typer.Exit(1)
    into.mkdir(parents=True, exist_ok=True)
    stem = file.name.removesuffix(".json").removesuffix(".fuseau")
    for name, content in (
        (f"{stem}-pattern-{paper}.pdf", pattern_pdf(build, planned, paper)),
        (f"{stem}-pattern.svg", pattern_svg(build, planned).encode()),
        (f"{stem}-pattern.dxf", pattern_dxf(build, planned)),
        (f"{stem}-list.pdf", list_pdf(build, planned, paper, unit)),
    ):
        (into / name).write_bytes(content)
        typer.echo(str(into / name))


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
            found = make_app(Settings(data=Path(folder))).openapi()
    typer.echo(json.dumps(found, indent=1, ensure_ascii=False))


def _read(file: Path):  # type: ignore[no-untyped-def]
    from fuseau.files.document import LARGEST_BYTES, UnreadableFile, read_document

    try:
        with file.open("rb") as handle:
            return read_document(handle.read(LARGEST_BYTES + 1))
    except UnreadableFile as error:
        typer.echo(f"{file.name}: {error.sentence}", err=True)
        for fault in error.faults[1:]:
            typer.echo(f"  {fault.at}: {fault.sentence}", err=True)
        raise typer.Exit(1) from None


def _serve(settings: Settings) -> None:
    gc.disable()  # what is imported stays: looked through once, and by no later collection again
    import uvicorn

    from fuseau.app.server import make_app
    from fuseau.store.opening import NewerDatabase

    gc.freeze()
    gc.enable()
    try:
        app = make_app(settings)
    except NewerDatabase as error:
        typer.echo(str(error), err=True)
        raise typer.Exit(1) from None
    typer.echo(f"Fuseau is at http://127.0.0.1:{settings.port}  (Ctrl+C stops it)")
    sys.stdout.flush()
    uvicorn.run(app, host=settings.host, port=settings.port, log_level="warning", access_log=False)
