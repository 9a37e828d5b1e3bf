package mosaicknife.app.house;

import mosaicknife.app.shared.Formats;

/**
 * The house as its pages need it.
 *
 * @param name its name
 * @param formats how it writes numbers
 */
public record House(String name, Formats formats) {}
