"""What a maker does to a Build: one function a decision, Build in, Build out."""
