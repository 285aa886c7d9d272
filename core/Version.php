<?php

declare(strict_types=1);

namespace Core;

/** The version stored beside every derived figure; raise it when a definition or a formula changes. */
final class Version
{
    public const CURRENT = '0.10.0';

    /** When the arithmetic of agreement last changed: measuring goes on without it. */
    public const AGREEMENT = '0.11.0';
}
