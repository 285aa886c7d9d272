<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\AgreementException;
use Core\Agreement\Confidence;
use Core\CoreException;

/** What a computation of agreement was asked for; stated again in its result. */
final readonly class StudyOptions
{
    public Confidence $confidence;

    /**
     * @param  list<string>|null  $categories  declared, fixed through every replicate
     * @param  string|null  $cannotTell  value that is missing in the main figures and a category in "three_way"
     * @param  string|null  $weights  linear or quadratic; null for the scale's own
     * @param  float|null  $tolerance  the difference from the key that still counts as meeting it, in the values' unit
     * @param  bool  $bootstrapKey  whether the figures against the key are resampled too; else they keep their
     *     jackknife
     * @param  float|null  $fieldPrevalence  share of positives, in (0, 1), for predictive values elsewhere than in this
     *     set
     * @param  bool  $order  whether people are put in order
     *
     * @throws CoreException
     */
    public function __construct(
        public ?array $categories = null,
        public string $positive = 'present',
        public ?string $cannotTell = null,
        public bool $pairs = true,
        public int $bootstrap = 2000,
        public int $seed = 1,
        float $confidence = 0.95,
        public ?string $weights = null,
        public ?float $tolerance = null,
        public bool $bootstrapKey = true,
        public ?float $fieldPrevalence = null,
        public bool $order = true,
    ) {
        $this->confidence = new Confidence($confidence);
        if ($weights !== null && ! in_array($weights, ['linear', 'quadratic'], true)) {
            throw AgreementException::because('weights', weights: $weights);
        }
        if ($tolerance !== null && (! is_finite($tolerance) || $tolerance < 0.0)) {
            throw AgreementException::because('tolerance');
        }
        if ($fieldPrevalence !== null && (
            is_nan($fieldPrevalence) || $fieldPrevalence <= 0.0 || $fieldPrevalence >= 1.0
        )) {
            throw AgreementException::because('field-prevalence');
        }
        if ($bootstrap < 0 || $bootstrap > 100000) {
            throw AgreementException::because('bootstrap');
        }
    }
}
