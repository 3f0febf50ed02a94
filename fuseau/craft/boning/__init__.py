"""Channels and bones: laid, checked, counted, cut, used again."""
