<?php

declare(strict_types=1);

namespace Core\Agreement\Resampling;

/** Statistics that can be had again from any draw of the clusters, and without any one cluster. */
interface Resampled
{
    /** @return list<float> NAN where undefined */
    public function estimates(): array;

    /** @return list<list<float>> the statistics without one cluster, for each cluster that has any part in them */
    public function leaveOneOut(): array;

    /**
     * @param  list<int>  $draw  rank of a cluster and how often it was drawn, by turns
     * @return list<float> the statistics of that draw
     */
    public function replicate(array $draw): array;
}
