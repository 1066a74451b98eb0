import { registry } from '@/core/calc/registry';
import { planSchema } from '@/core/plan/schema';

const json = (schema: unknown) => ({ 'application/json': { schema } });
const problemBody = { description: 'What is wrong and where', content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } } };
const jobParameter = { name: 'id', in: 'path', required: true, schema: { type: 'string' } };

/** The API described from the registry and the plan schema: nothing is written twice. */
export function openApi(): unknown {
  const calculations = Object.fromEntries(
    [...registry.values()].map((calc) => [
      `/api/calc/${calc.id}`,
      {
        post: {
          operationId: calc.id,
          summary: calc.title,
          description: `Source (${calc.source.basis}): ${calc.source.text}. SI units; angles in degrees.`,
          requestBody: { required: true, content: json(calc.input) },
          responses: { 200: { description: 'The answer', content: json(calc.output) }, 422: problemBody },
        },
      },
    ]),
  );
  return {
    openapi: '3.1.0',
    info: {
      title: 'Keen Trestle',
      version: '1',
      description:
        'Calculations and plans. Plans are checked here, not approved: local codes, the maker’s chart and a licensed engineer or appointed competent person decide.',
    },
    paths: {
      ...calculations,
      '/api/jobs/{id}/plan': {
        get: {
          operationId: 'readPlan',
          summary: 'The newest revision of a plan',
          parameters: [jobParameter],
          responses: { 200: { description: 'The plan; ETag holds its revision', content: json({ $ref: '#/components/schemas/Plan' }) }, 404: problemBody },
        },
        put: {
          operationId: 'savePlan',
          summary: 'Save a plan on top of the revision in If-Match',
          parameters: [jobParameter, { name: 'If-Match', in: 'header', required: true, schema: { type: 'string', examples: ['"14"'] } }],
          requestBody: { required: true, content: json({ $ref: '#/components/schemas/Plan' }) },
          responses: {
            200: { description: 'Saved', content: json({ type: 'object', properties: { revision: { type: 'integer' } } }) },
            412: problemBody,
            422: problemBody,
            428: problemBody,
          },
        },
      },
      '/api/jobs': {
        post: {
          operationId: 'createJob',
          summary: 'A new job from a plan',
          requestBody: { required: true, content: json({ $ref: '#/components/schemas/Plan' }) },
          responses: { 201: { description: 'Made' }, 422: problemBody },
        },
      },
    },
    components: {
      schemas: {
        Plan: planSchema,
        Problem: {
          type: 'object',
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            detail: { type: 'string' },
            path: { type: 'string' },
          },
          required: ['title', 'status', 'detail'],
        },
      },
    },
  };
}
