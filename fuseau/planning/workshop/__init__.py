"""What goes over all builds: shopping, schedule, cards, what fittings taught of a wearer."""
