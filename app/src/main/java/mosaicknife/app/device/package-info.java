/**
 * Devices of the bench behind ports. So far one: a scale, and a stand-in for it.
 *
 * <p>The stand-in speaks the same line protocol over a loopback socket as a real adapter would; see
 * docs/guide/scale-protocol.md. Read {@link mosaicknife.app.device.Scale}.
 */
package mosaicknife.app.device;
