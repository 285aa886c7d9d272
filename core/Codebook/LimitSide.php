<?php

declare(strict_types=1);

namespace Core\Codebook;

/** Which side of a body a limit is about, as the golfer stands to the target. */
enum LimitSide: string
{
    case Lead = 'lead';
    case Trail = 'trail';
    case Both = 'both';
}
