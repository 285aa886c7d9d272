<?php

declare(strict_types=1);

namespace Core\Remark;

/**
 * What can be said of a result: a string-backed enum whose values are 'group.code', as lang/en/remarks.php has them.
 */
interface RemarkCode extends \BackedEnum
{
}
