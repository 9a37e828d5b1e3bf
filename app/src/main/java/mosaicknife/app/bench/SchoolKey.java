package mosaicknife.app.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import java.io.Serializable;

/** A lot and a school. */
@Embeddable
record SchoolKey(@Column(name = "lot_id") long lotId, String school) implements Serializable {}
