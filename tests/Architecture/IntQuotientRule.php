<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\Node\Expr\BinaryOp\Div;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * A quotient of two whole numbers is cast: PHP's tracing JIT was seen to give NAN for one.
 *
 * @implements Rule<Div>
 */
final class IntQuotientRule implements Rule
{
    public function getNodeType(): string
    {
        return Div::class;
    }

    public function processNode(Node $node, Scope $scope): array
    {
        if (! $scope->getType($node->left)->isInteger()->yes() || ! $scope->getType($node->right)->isInteger()->yes()) {
            return [];
        }

        return [
            RuleErrorBuilder::message('A quotient of two whole numbers: cast them to float.')
                ->identifier('vc.intQuotient')
                ->build(),
        ];
    }
}
