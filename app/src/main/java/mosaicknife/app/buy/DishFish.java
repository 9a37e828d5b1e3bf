package mosaicknife.app.buy;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;

/**
 * One fish a dish may be made of.
 *
 * @param species its code
 * @param place its place in the order of preference
 * @param soldAs whether the dish is sold as this fish; else it is a substitute
 */
@Embeddable
record DishFish(String species, int place, @Column(name = "sold_as") boolean soldAs) {}
