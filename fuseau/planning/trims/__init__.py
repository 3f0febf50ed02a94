"""What lies on the garment and hangs from it: as records, checked, marked, made."""
