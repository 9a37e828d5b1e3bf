package mosaicknife.app.pot;

import java.math.BigDecimal;

/** What a batch of a method gave, as the database has it. */
record MethodGave(
    String methodBody, BigDecimal litres, long bonesMilligrams, String jelly, String look) {}
