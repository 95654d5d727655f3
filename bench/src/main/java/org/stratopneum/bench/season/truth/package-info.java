/**
 * What really happens to tires in a year, hidden from the riders. Its laws are written apart from the application's models, on
 * other footing, so that the application is not judged by itself; the shape of a tire is the one thing they share.
 */
package org.stratopneum.bench.season.truth;
