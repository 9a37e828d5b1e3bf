package mosaicknife.app.device;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Where the scale is.
 *
 * @param host the host of the scale's socket
 * @param port its port; 0 means there is no scale, or any free port for the stand-in
 * @param standIn whether to start the stand-in
 */
@ConfigurationProperties("mosaic.scale")
record ScaleSettings(String host, int port, boolean standIn) {}
