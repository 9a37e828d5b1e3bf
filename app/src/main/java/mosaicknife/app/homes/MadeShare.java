package mosaicknife.app.homes;

/** Grams of a part that become something, as the database has them. */
record MadeShare(String slot, String use, long venue, long milligrams) {}
