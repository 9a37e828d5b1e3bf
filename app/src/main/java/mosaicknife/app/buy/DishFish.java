package mosaicknife.app.buy;

import jakarta.persistence.Embeddable;

/** One fish a dish may be made of, with its place in the order of preference. */
@Embeddable
record DishFish(String species, int place) {}
