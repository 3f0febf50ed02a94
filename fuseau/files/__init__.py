"""What leaves and enters: the open file, the pattern as SVG and tiled PDF, the list."""
