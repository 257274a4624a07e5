<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Visitor;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Gives a browser the word by which limits tell it from others at the same address. */
final class GreetsVisitor
{
    public function handle(Request $request, Closure $next): Response
    {
        Visitor::greet($request);

        return $next($request);
    }
}
