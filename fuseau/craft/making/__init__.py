"""Making up: steps, the garment as a state, orders that never get stuck, rates, the schedule and its odds."""
