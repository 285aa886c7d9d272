<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** What all models but a person share. */
abstract class Row extends Model
{
    use BootsByName;
}
