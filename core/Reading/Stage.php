<?php

declare(strict_types=1);

namespace Core\Reading;

/** First without ball flight and numbers; then, where the sitting asks for it, with them. */
enum Stage: string
{
    case Blind = 'blind';
    case Reveal = 'reveal';
}
