"""The ground floor: lengths, curves, records, findings, house numbers."""
