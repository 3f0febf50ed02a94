"""plan(build) -> Plan: the pipeline, and one file a stage of the thread."""
