package mosaicknife.app.device;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Where the probe is.
 *
 * @param host the host of its socket
 * @param port its port; 0 means there is none, or any free port for the stand-in
 * @param standIn whether to start the stand-in
 */
@ConfigurationProperties("mosaic.probe")
record ProbeSettings(String host, int port, boolean standIn) {}
