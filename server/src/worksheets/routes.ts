import { Router } from 'express'
import { calculate, calculatorNamed } from './calculate'

export function benchRoutes(): Router {
  const router = Router()
  router.post('/bench/:name', (request, response) => {
    response.json(calculate(calculatorNamed(request.params.name), request.body))
  })
  return router
}
