<?php

declare(strict_types=1);

namespace Core\Training;

/** How likely a person is right about a fault today, in a question of the usual difficulty. */
final readonly class Skill
{
    /**
     * @param  float  $logit  of that chance
     * @param  float  $se  of the logit
     * @param  int  $answers  it rests on
     * @param  float|null  $since  days since the last of them; null: none yet
     */
    public function __construct(
        public string $fault,
        public float $logit,
        public float $se,
        public int $answers,
        public ?float $since,
    ) {
    }

    /** @param  float  $difficulty  logits above the usual question */
    public function chance(float $difficulty = 0.0): float
    {
        return self::logistic($this->logit - $difficulty);
    }

    /** @param  float  $z  quantile of the normal distribution */
    public function low(float $z = Learner::LOWER): float
    {
        return self::logistic($this->logit - $z * $this->se);
    }

    public function high(float $z = Learner::LOWER): float
    {
        return self::logistic($this->logit + $z * $this->se);
    }

    private static function logistic(float $x): float
    {
        return $x >= 0.0 ? 1.0 / (1.0 + exp(-$x)) : exp($x) / (1.0 + exp($x));
    }
}
