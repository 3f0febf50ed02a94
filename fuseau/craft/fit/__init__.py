"""How a garment sits on a body, and what to sew so that it sits as wished."""
