"""What is bought, and the stack of cloth."""
