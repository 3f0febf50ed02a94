"""The pattern: drafted, typed, traced, altered, edited, laid flat, checked."""
