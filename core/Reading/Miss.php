<?php

declare(strict_types=1);

namespace Core\Reading;

/** The miss a rater expects of this swing. */
enum Miss: string
{
    case Fat = 'fat';
    case Thin = 'thin';
    case Top = 'top';
    case Toe = 'toe';
    case Push = 'push';
    case Pull = 'pull';
    case Hook = 'hook';
    case Slice = 'slice';
    case HighWeak = 'high weak';
    case None = 'none';
}
