"""The room: other devices of the maker, let in by a code that is shown on the laptop."""
