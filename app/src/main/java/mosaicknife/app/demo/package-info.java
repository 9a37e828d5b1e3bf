/**
 * The demo: the made-up group Saltmarsh Row in Port Sallow. Loaded once, in demo mode only.
 *
 * <p>Everything goes through the same services as a person's work, so the demo cannot hold what the
 * product would refuse.
 */
package mosaicknife.app.demo;
