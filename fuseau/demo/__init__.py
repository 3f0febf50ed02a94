"""The demo workshop: invented people, characters and shows."""
