/**
 * Which curve, plane or line lies nearest to what was read, and how sure is it? Start at
 * {@link zebrawood.core.fit.LinearFit}: weighted least squares by QR, with the covariance of what was fitted.
 */
package zebrawood.core.fit;
