<?php

declare(strict_types=1);

namespace Crag\Maths\Parsing;

/** What a node of an expression stands for. */
enum NodeKind
{
    case Number;
    /** A whole number and a fraction side by side. */
    case Mixed;
    case Letter;
    case Sum;
    case Negative;
    case Product;
    case Quotient;
    case Power;
    case Root;
    case Percent;
    /** A function of its part: sin, ln, abs … its name is the node's letter. */
    case Called;
    /** Of its first part, to the base of its second. */
    case Logarithm;
    case Factorial;
    case Binomial;
}
