<?php

return [App\Providers\AppServiceProvider::class, App\Providers\RateServiceProvider::class];
