<?php

declare(strict_types=1);

namespace Core;

/** The version stored beside every derived figure; raise it when a definition or a formula changes. */
final class Version
{
    public const CURRENT = '0.8.0';
}
