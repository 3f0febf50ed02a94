"""One file a stage, under its name in the thread: what follows there from the Build."""
