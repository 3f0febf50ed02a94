"""What fittings tell: observations, evidence, the change that follows, the odds, the verdict and the story."""
