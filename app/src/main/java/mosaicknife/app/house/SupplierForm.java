package mosaicknife.app.house;

import java.time.DayOfWeek;
import java.util.Set;

/**
 * What is typed about a supplier, as typed.
 *
 * @param contact whom to ask for
 * @param phone where to call
 * @param note what else to know
 * @param days the ticked days of delivery; null if none is
 */
public record SupplierForm(String contact, String phone, String note, Set<DayOfWeek> days) {}
