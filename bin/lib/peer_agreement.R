# The same with R and data.table: coefficients of every item and of all pooled, BCa intervals from resampled cases, Light's
# kappa. A peer to time agreement:compute against, not a part of it.
suppressMessages(library(data.table))
setDTthreads(1)
arguments <- commandArgs(trailingOnly = TRUE)
resamples <- as.integer(arguments[2])
d <- fread(arguments[1], colClasses = "character")
if (!"item" %in% names(d)) d[, item := ""]
d[, `:=`(case = as.integer(factor(case)), rater = as.integer(factor(rater)), value = as.integer(factor(value)))]
q <- max(d$value); cases <- max(d$case); m <- max(d$rater)

statistics <- function(s) {
  if (is.null(dim(s))) s <- matrix(s, 1)
  part <- function(i) s[, 4 + (i - 1) * q + 1:q, drop = FALSE]
  pa <- s[, 3] / s[, 2]; pi <- part(1) / s[, 1]; n <- part(2); all <- rowSums(n)
  fleiss <- rowSums(pi^2); ac <- rowSums(pi * (1 - pi)) / (q - 1)
  cbind(pa, (pa - fleiss) / (1 - fleiss), (pa - ac) / (1 - ac), (pa - 1 / q) / (1 - 1 / q),
        1 - (all - 1) * (all - s[, 4]) / (all^2 - rowSums(n^2)), part(3) / part(4))
}
intervals <- function(sums, times) {
  total <- colSums(sums)
  estimate <- statistics(total)
  left <- statistics(rep(total, each = nrow(sums)) - sums)
  if (is.null(times)) return(list(estimate, NULL))
  drawn <- statistics(times %*% sums)
  ends <- sapply(seq_along(estimate), function(k) {
    v <- drawn[, k]; v <- v[!is.nan(v)]
    if (length(v) == 0 || is.nan(estimate[k])) return(c(NA, NA))
    z0 <- qnorm((sum(v < estimate[k]) + 0.5 * sum(v == estimate[k])) / length(v))
    e <- mean(left[, k]) - left[, k]
    a <- sum(e^3) / (6 * sum(e^2)^1.5)
    z <- z0 + qnorm(c(.025, .975))
    quantile(v, pnorm(z0 + z / (1 - a * z)), names = FALSE)
  })
  list(estimate, ends)
}
light <- function(x) {
  out <- c()
  for (g in 1:(m - 1)) for (h in (g + 1):m) {
    both <- !is.na(x[, g]) & !is.na(x[, h])
    cells <- matrix(tabulate((x[both, g] - 1) * q + x[both, h], q * q), q)
    n <- sum(cells); pe <- sum(rowSums(cells) * colSums(cells)) / n / n
    out <- c(out, (sum(diag(cells)) / n - pe) / (1 - pe))
  }
  mean(out)
}
times <- NULL
if (resamples > 0) {
  set.seed(1)
  times <- t(replicate(resamples, tabulate(sample.int(cases, cases, TRUE), cases)))
}
pooled <- matrix(0, cases, 4 + 4 * q); wide <- list()
for (name in sort(unique(d$item))) {
  x <- matrix(NA_integer_, cases, m)
  of <- d[item == name]
  x[cbind(of$case, of$rater)] <- of$value
  n <- sapply(1:q, function(k) rowSums(x == k, na.rm = TRUE)); r <- rowSums(n); pair <- r >= 2
  same <- rowSums(n * (n - 1))
  sums <- cbind(r >= 1, pair, ifelse(pair, same / (r * (r - 1)), 0), ifelse(pair, same / (r - 1), 0),
                ifelse(r >= 1, 1, 0) * n / pmax(r, 1), n * pair, n * (n - 1), n * (r - 1))
  pooled <- pooled + sums; wide[[name]] <- x
  print(list(name, intervals(sums, times), light(x)))
}
print(list("pooled", intervals(pooled, times), light(do.call(rbind, wide))))
