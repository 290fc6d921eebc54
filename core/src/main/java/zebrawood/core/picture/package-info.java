/** What a picture of marks tells: how wide a burned line is, how sharp the lines of a square are. */
package zebrawood.core.picture;
