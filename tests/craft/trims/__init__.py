"""Tests of the trims."""
