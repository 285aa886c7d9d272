<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Core\Format\Json\JsonObject;
use Core\Format\Json\StanceJson;
use Core\Trace\Stance;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * Where both feet stand, held as JSON.
 *
 * @implements CastsAttributes<Stance, Stance>
 */
final class AsStance implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Stance
    {
        return is_string($value) ? StanceJson::read(JsonObject::from(json_decode($value, true), 'the stance')) : null;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value instanceof Stance
            ? json_encode(StanceJson::write($value), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)
            : null;
    }
}
