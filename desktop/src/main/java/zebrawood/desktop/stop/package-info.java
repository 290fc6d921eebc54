/**
 * How is a stop measured? Start at {@link zebrawood.desktop.stop.StopPage}: it gives a bench its draft, its verdict and
 * its Slip, and records what comes of it.
 */
package zebrawood.desktop.stop;
