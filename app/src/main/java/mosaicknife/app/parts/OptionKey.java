package mosaicknife.app.parts;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import java.io.Serializable;

/** A lot and a option. */
@Embeddable
record OptionKey(@Column(name = "lot_id") long lotId, String option) implements Serializable {}
