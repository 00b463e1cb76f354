/** The place Sites: which site needs me? */
package sparen.app.overview;
