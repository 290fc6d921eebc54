/** How is a machine certified on paper? Start at {@link zebrawood.desktop.certificate.Certificate}. */
package zebrawood.desktop.certificate;
