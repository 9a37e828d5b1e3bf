/**
 * The API: lots, weighings and the evaluation of a breakdown, for other programs.
 *
 * <p>Described by OpenAPI at {@code /api/v1/openapi}; errors are problem details (RFC 9457). Tokens
 * come from {@code POST /api/v1/tokens}.
 */
package mosaicknife.app.exchange;
