<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Remark\Remark;

/** What one swing's measurements say of one fault, and how well the fault can be seen with what is held of it. */
final readonly class FaultVerdict
{
    /** @param  Remark|null  $proxy  what stands in for the fault with what is held, whether or not it had to decide */
    public function __construct(public Observability $observability, public ?Remark $proxy, public Judgement $judgement)
    {
    }

    public function said(): Said
    {
        return Said::of($this->judgement, $this->observability);
    }
}
