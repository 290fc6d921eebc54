/** What is looked at every day before the first job. Start at {@link zebrawood.core.daily.StartOfWork}. */
package zebrawood.core.daily;
