"""What is bought by the piece or by its length costs about so much, where no shop was asked and nothing was paid.

Round figures to compare with, not anybody's; cloths and bones have theirs in the catalogue.
"""

from collections.abc import Mapping

from fuseau.craft.stock.articles import Article, Sort

PRICE_EACH: Mapping[Sort, float] = {
    "busk": 14.0, "zip": 5.5, "thread": 3.5, "grommets": 0.16, "hooks": 0.18, "ends": 0.12,
}  # fmt: skip
PRICE_PER_MM: Mapping[Sort, float] = {"lace": 0.0009, "tape": 0.0006}


def rough_price(article: Article, amount: float) -> float:
    """What so many pieces, or mm, of an article cost; 0 of what has its price elsewhere."""
    by = PRICE_PER_MM if article.measure == "length" else PRICE_EACH
    return by.get(article.sort, 0.0) * amount
