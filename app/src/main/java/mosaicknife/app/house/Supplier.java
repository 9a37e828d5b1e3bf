package mosaicknife.app.house;

import mosaicknife.core.buying.DeliveryDays;

/**
 * A supplier as the house knows it.
 *
 * @param id its number
 * @param name its name
 * @param contact whom to ask for, possibly empty
 * @param phone where to call, possibly empty
 * @param note what else to know, such as until when to order; possibly empty
 * @param days when it delivers
 */
public record Supplier(
    long id, String name, String contact, String phone, String note, DeliveryDays days) {}
