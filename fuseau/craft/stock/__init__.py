"""What lies on the shelf, and what is bought: articles, pieces at hand, counts."""
