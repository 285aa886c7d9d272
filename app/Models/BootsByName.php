<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Finds what a model's traits want to be called by its name alone. The framework's own way looks at each of some five
 * hundred methods for an attribute that nothing here bears: a quarter of a millisecond a model and request.
 */
trait BootsByName
{
    protected static function bootTraits(): void
    {
        $initializers = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            $boot = [static::class, "boot$name"];
            // Every name can be called of a model, which hands it on.
            if (method_exists(...$boot) && is_callable($boot)) {
                forward_static_call($boot);
            }
            if (method_exists(static::class, "initialize$name")) {
                $initializers[] = "initialize$name";
            }
        }
        static::$traitInitializers[static::class] = $initializers;
    }
}
