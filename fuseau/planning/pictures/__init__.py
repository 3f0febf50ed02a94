"""What a picture asks of her body and of the garment’s lines."""
